import { spawn, type ChildProcess } from "node:child_process";
import { expect } from "@playwright/test";

/** Servers that run still: a test that fails leaves none behind. */
const started = new Set<ChildProcess>();

export const endAll = (): Promise<unknown> => Promise.all([...started].map((server) => endServer(server)));

/** Starts a server of its own on a folder, with what else its environment says, and waits until it answers. */
export async function startServer(folder: string, port: number, env: Readonly<Record<string, string>> = {}): Promise<ChildProcess> {
  const server = spawn(process.execPath, ["scripts/serve.mjs", "127.0.0.1", String(port)], {
    env: { ...process.env, OCTACHORD_DATA: folder, NEXT_MANUAL_SIG_HANDLE: "true", ...env },
    stdio: "ignore",
    detached: true,
  });
  started.add(server);
  server.once("exit", () => started.delete(server));
  await expect.poll(async () => server.exitCode === null && (await answers(port)), { intervals: [100] }).toBe(true);
  return server;
}

/** Whether a server answers on a port. */
export const answers = (port: number): Promise<boolean> =>
  fetch(`http://127.0.0.1:${port}/api/health`).then(
    ({ ok }) => ok,
    () => false,
  );

/** Ends a server and everything it started: kill -9 leaves it no time for anything. */
export async function endServer(server: ChildProcess, signal: "SIGKILL" | "SIGTERM" = "SIGKILL"): Promise<void> {
  const gone = new Promise((resolve) => server.on("exit", resolve));
  if (server.pid) process.kill(-server.pid, signal);
  await gone;
}

/** The smallest bytes that are taken for a photo, with a number of their own. */
export const pngOf = (number: number): Uint8Array<ArrayBuffer> =>
  new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, number & 255, (number >> 8) & 255, (number >> 16) & 255]);
