import { hasBasicAudio, makeCtaBlock, withBasicAudio } from "./blocks/cta-block";
import { TAG, type DataBlock } from "./blocks/data-block";
import { BLOCK_BYTES } from "./bytes";
import { dataBlocksOf, type Edid, type Extension } from "./edid";
import { withExtensionCount } from "./write-edid";

const isSound = ({ tag }: DataBlock): boolean => tag === TAG.audio || tag === TAG.speakers;

/**
 * The EDID that an extractor should show: the pictures, place and vendor data of one, the sound of the other.
 * Where the sound does not fit beside the pictures in the first CTA extension, it gets one of its own.
 */
export function mergeEdids(picture: Edid, sound: Edid): Edid {
  const heard = dataBlocksOf(sound).filter(isSound);
  const basic = sound.extensions.some((extension) => extension.kind === "cta" && hasBasicAudio(extension)) || heard.length > 0;
  let placed = false;
  const extensions = picture.extensions.flatMap((extension): Extension[] => {
    if (extension.kind !== "cta") return extension.kind === "block-map" ? [] : [extension];
    const silent = extension.dataBlocks.filter((block) => !isSound(block));
    const whole = { ...withBasicAudio(extension, basic), dataBlocks: [...heard, ...silent], hasTimings: true, checksum: null, raw: null };
    if (placed || sizeOf(whole) > BLOCK_BYTES - 1)
      return [{ ...withBasicAudio(extension, basic), dataBlocks: silent, checksum: null, raw: null }];
    placed = true;
    // Padding after the timings gives way to what is longer now.
    return [{ ...whole, timings: whole.timings.subarray(0, BLOCK_BYTES - 1 - (sizeOf(whole) - usedTimings(whole.timings).length)) }];
  });
  if (!placed && heard.length) extensions.push({ ...makeCtaBlock(heard, { basicAudio: basic }), raw: null });
  const alike = withEqualFlags(extensions);
  return { base: withExtensionCount(picture.base, alike.length), extensions: alike, trailing: new Uint8Array() };
}

/** Every CTA extension has the flags of the first: CTA-861-H §7.3.3, byte 3 of all of them is to be the same. */
function withEqualFlags(extensions: readonly Extension[]): Extension[] {
  const first = extensions.find((extension) => extension.kind === "cta");
  return extensions.map((extension) =>
    first?.kind === "cta" && extension.kind === "cta" && extension.flags !== first.flags
      ? { ...extension, flags: first.flags, checksum: null, raw: null }
      : extension,
  );
}

const sizeOf = ({ dataBlocks, rest, timings }: Extract<Extension, { kind: "cta" }>): number =>
  4 +
  dataBlocks.reduce((sum, { extended, payload }) => sum + 1 + payload.length + (extended === null ? 0 : 1), 0) +
  rest.length +
  usedTimings(timings).length;

/** The detailed timings without the zeros after them. */
function usedTimings(timings: Uint8Array): Uint8Array {
  let end = timings.length;
  while (end > 0 && timings[end - 1] === 0) end -= 1;
  return timings.subarray(0, Math.ceil(end / 18) * 18);
}
