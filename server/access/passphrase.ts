import { randomBytes, scrypt, timingSafeEqual } from "node:crypto";
import { z } from "zod";

/** A passphrase as it is kept: a slow hash, with what it takes to make it again. Source: RFC 7914 (scrypt). */
export const PassphraseHash = z.strictObject({
  salt: z.base64(),
  hash: z.base64(),
  n: z
    .number()
    .int()
    .min(2 ** 14),
  r: z.number().int().min(8),
  p: z.number().int().min(1),
});
export type PassphraseHash = z.infer<typeof PassphraseHash>;

const COST = { n: 2 ** 15, r: 8, p: 1 } as const;
const BYTES = 32;

/** One passphrase is hashed at a time, so that many tries at once do not take the machine. */
let line: Promise<unknown> = Promise.resolve();

function slowHash(
  passphrase: string,
  salt: Buffer,
  { n, r, p }: { readonly n: number; readonly r: number; readonly p: number },
): Promise<Buffer> {
  const turn = line.then(
    () =>
      new Promise<Buffer>((resolve, reject) =>
        // The same letters may be typed composed or not.
        scrypt(passphrase.normalize("NFKC"), salt, BYTES, { N: n, r, p, maxmem: 256 * n * r }, (error, key) =>
          error ? reject(error) : resolve(key),
        ),
      ),
  );
  line = turn.catch(() => undefined);
  return turn;
}

export async function hashPassphrase(passphrase: string): Promise<PassphraseHash> {
  const salt = randomBytes(16);
  return { salt: salt.toString("base64"), hash: (await slowHash(passphrase, salt, COST)).toString("base64"), ...COST };
}

/** Whether a passphrase is the one that was hashed. */
export async function isPassphrase(passphrase: string, kept: PassphraseHash): Promise<boolean> {
  const found = await slowHash(passphrase, Buffer.from(kept.salt, "base64"), kept);
  const wanted = Buffer.from(kept.hash, "base64");
  return found.length === wanted.length && timingSafeEqual(found, wanted);
}
