import { createReadStream } from "node:fs";
import { basename } from "node:path";
import { Readable } from "node:stream";
import { database, packBackup } from "@/server";
import { answer } from "../answer";

/** Everything that the firm has, as one file that was read back before it goes out. */
export const GET = answer(async () => {
  const { file, bytes, forget } = await packBackup(await database());
  const stream = createReadStream(file);
  stream.once("close", () => void forget());
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: {
      "Content-Type": "application/zip",
      "Content-Length": String(bytes),
      "Content-Disposition": `attachment; filename="${basename(file)}"`,
    },
  });
});
