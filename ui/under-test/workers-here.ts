/** The calls that the program of a worker answers, by the name of its file. */
const programs = new Map<string, Promise<unknown>>();
const files = import.meta.glob("../../workers/*-worker.ts");

let exposed: unknown = null;
/** One program is loaded after the other, since each exposes its calls while it loads. */
let loading: Promise<unknown> = Promise.resolve();

async function load(file: string): Promise<unknown> {
  const before = loading;
  const loaded = (async () => {
    await before;
    await files[`../../workers/${file}`]?.();
    return exposed;
  })();
  loading = loaded;
  return loaded;
}

/** Its address may say how the file is to be read, behind its name. */
const programOf = (url: URL | string): Promise<unknown> => {
  const file = /[\w-]+-worker\.ts/.exec(String(url))?.[0] ?? "";
  const program = programs.get(file) ?? load(file);
  programs.set(file, program);
  return program;
};

/** A worker whose program runs in the page itself, so that what it answers is there after a moment. */
export class WorkerHere {
  constructor(readonly url: URL | string) {}

  addEventListener(): void {}
  removeEventListener(): void {}
  terminate(): void {}
}

/** What stands in for the messages between a page and its workers. */
export const messagesHere = {
  expose: (api: unknown): void => {
    exposed = api;
  },
  proxy: <Value>(value: Value): Value => value,
  wrap: ({ url }: WorkerHere): unknown =>
    new Proxy(
      {},
      {
        get:
          (_, call: string) =>
          async (...given: readonly unknown[]) => {
            const program = (await programOf(url)) as Record<string, (...values: readonly unknown[]) => unknown>;
            return program[call]?.(...given);
          },
      },
    ),
};
