import { createHash } from "node:crypto";
import { createReadStream, createWriteStream } from "node:fs";
import { Zip, ZipPassThrough } from "fflate";

/** A file of a package: its name, and its bytes, read only when it is its turn. */
export interface ZipPart {
  readonly name: string;
  readonly chunks: () => AsyncIterable<Uint8Array> | Iterable<Uint8Array>;
}

export const partOfFile = (name: string, path: string): ZipPart => ({
  name,
  chunks: () => createReadStream(path) as AsyncIterable<Buffer>,
});

export const partOfText = (name: string, text: string): ZipPart => ({ name, chunks: () => [new TextEncoder().encode(text)] });

/**
 * Writes a zip without compression, part by part, so that no more than a piece of one is held in memory. The last part is made when the
 * checksums (SHA-256, in hexadecimal) of all others are known.
 */
export async function writeZip(
  file: string,
  parts: Iterable<ZipPart> | AsyncIterable<ZipPart>,
  last?: (sums: Readonly<Record<string, string>>) => ZipPart,
): Promise<void> {
  const out = createWriteStream(file, { mode: 0o600 });
  const written = new Promise<void>((resolve, reject) => out.once("finish", resolve).once("error", reject));
  // A disk that is full ends the stream between two parts, too.
  written.catch(() => undefined);
  const zip = new Zip((error, data, final) => {
    if (error) out.destroy(error);
    else out.write(data);
    if (final) out.end();
  });
  const add = async ({ name, chunks }: ZipPart): Promise<string> => {
    const entry = new ZipPassThrough(name);
    zip.add(entry);
    const hash = createHash("sha256");
    for await (const chunk of chunks()) {
      hash.update(chunk);
      entry.push(chunk);
      if (out.writableNeedDrain && !out.destroyed) await new Promise<void>((resolve) => out.once("drain", resolve).once("close", resolve));
    }
    entry.push(new Uint8Array(), true);
    return hash.digest("hex");
  };
  const sums: Record<string, string> = {};
  for await (const part of parts) sums[part.name] = await add(part);
  if (last) await add(last(sums));
  zip.end();
  await written;
}
