/** Length of one block. Source: VESA E-EDID A.2 §2.2. */
export const BLOCK_BYTES = 128;

/** The last byte that brings a block's sum to a multiple of 256. */
export function checksumOf(block: Uint8Array): number {
  let sum = 0;
  for (let index = 0; index < BLOCK_BYTES - 1; index += 1) sum += block[index] ?? 0;
  return (256 - (sum % 256)) % 256;
}

/** A byte, or 0 beyond the end. */
export const at = (bytes: Uint8Array, index: number): number => bytes[index] ?? 0;

/** A block of 128 bytes with its checksum, from what stands before it. */
export function sealed(bytes: readonly number[]): Uint8Array {
  const block = new Uint8Array(BLOCK_BYTES);
  block.set(bytes.slice(0, BLOCK_BYTES - 1));
  block[BLOCK_BYTES - 1] = checksumOf(block);
  return block;
}
