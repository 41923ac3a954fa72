import type { CtaBlock } from "./blocks/cta-block";
import type { DataBlock } from "./blocks/data-block";

/** One extension block: taken apart where it is of a kind that is read, else kept as its bytes. */
export type Extension =
  | (CtaBlock & { readonly raw: Uint8Array | null })
  | { readonly kind: "display-id"; readonly dataBlocks: readonly DataBlock[]; readonly raw: Uint8Array }
  | { readonly kind: "block-map"; readonly tags: readonly number[]; readonly raw: Uint8Array }
  | { readonly kind: "other"; readonly tag: number; readonly raw: Uint8Array };

/** A capability block of a display, whole: the base block's bytes, its extensions, and whatever follows a whole number of blocks. */
export interface Edid {
  readonly base: Uint8Array;
  readonly extensions: readonly Extension[];
  readonly trailing: Uint8Array;
}

/** Every data block of an EDID, in the order it is there. */
export const dataBlocksOf = ({ extensions }: Edid): readonly DataBlock[] =>
  extensions.flatMap((extension) => (extension.kind === "cta" || extension.kind === "display-id" ? extension.dataBlocks : []));
