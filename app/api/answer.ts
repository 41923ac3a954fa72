import { z } from "zod";
import { isTooDeep, MAX_JOB_BYTES, MOST_NESTING } from "@/core/job";
import { troubleSentence } from "@/core/text";
import { notUnderstood, problem, type Problem } from "./problem";
import { logLine, storageTrouble } from "@/server";

type Context<Params> = { params: Promise<Params> };
type Handler<Params> = (request: Request, params: Params) => Promise<Response>;

/** Wraps a route handler: what it does not expect becomes a problem document, and nothing of the machine leaks out. */
export function answer<Params = Record<string, never>>(handler: Handler<Params>) {
  return async (request: Request, context: Context<Params>): Promise<Response> => {
    try {
      return await handler(request, await context.params);
    } catch (error) {
      if (error instanceof BodyTrouble) return problem(error.problem);
      process.stderr.write(`${new Date().toISOString()} ${request.method} ${new URL(request.url).pathname}: ${logLine(error)}\n`);
      const stored = storageTrouble(error);
      if (stored) return problem({ ...stored });
      return problem({ status: 500, title: "Not done", detail: "The server could not do this; nothing was changed. Its log says why." });
    }
  };
}

class BodyTrouble extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** The bytes of a request's body, refused beyond a limit without reading on. */
export async function bodyBytes(request: Request, limit: number = MAX_JOB_BYTES): Promise<Uint8Array> {
  const tooLarge = (bytes: number) =>
    new BodyTrouble({ status: 413, title: "Too large", detail: troubleSentence({ code: "too-large", bytes, limit }) });
  const announced = Number(request.headers.get("content-length") ?? 0);
  if (announced > limit) throw tooLarge(announced);
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += chunk.length;
    if (bytes > limit) throw tooLarge(bytes);
    chunks.push(chunk);
  }
  return new Uint8Array(Buffer.concat(chunks));
}

/** The text of a request's body. */
export const bodyText = async (request: Request): Promise<string> => Buffer.from(await bodyBytes(request)).toString("utf8");

/** A request's JSON body in the shape that a schema asks for. */
export async function bodyAs<Schema extends z.ZodType>(request: Request, schema: Schema): Promise<z.infer<Schema>> {
  const text = await bodyText(request);
  if (isTooDeep(text))
    throw new BodyTrouble({
      status: 400,
      title: "Not understood",
      detail: `The body nests deeper than ${MOST_NESTING} lists and objects.`,
    });
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    throw new BodyTrouble({
      status: 400,
      title: "Not JSON",
      detail: `The body is not JSON: ${error instanceof Error ? error.message : String(error)}.`,
    });
  }
  const parsed = schema.safeParse(raw);
  if (!parsed.success) throw new BodyTrouble(notUnderstood(parsed.error));
  return parsed.data;
}
