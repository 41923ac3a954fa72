import { createReadStream } from "node:fs";
import { basename } from "node:path";
import { Readable } from "node:stream";

/** A zip that was written for one answer: sent piece by piece, and deleted when it was. */
export function sendZip({
  file,
  bytes,
  forget,
}: {
  readonly file: string;
  readonly bytes: number;
  readonly forget: () => Promise<void>;
}): Response {
  const stream = createReadStream(file);
  stream.once("close", () => void forget());
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: {
      "Content-Type": "application/zip",
      "Content-Length": String(bytes),
      "Content-Disposition": `attachment; filename="${basename(file)}"`,
    },
  });
}
