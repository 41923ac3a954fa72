import { escapeXml } from "@/core/drawing";
import { FAMILY_EXT, type Coverage } from "./fonts";
import { runsOf } from "./printable";

/** Text as `escapeXml` wrote it, with its signs again. */
const plain = (text: string): string => text.replace(/&#(\d+);/g, (_whole, code: string) => String.fromCodePoint(Number(code)));

/** A drawing whose texts hold only what the fonts can show; letters of the second font file stand in a span of their own. */
export function printableSvg(
  svg: string,
  coverage: Coverage,
  mark: (letters: number) => string,
): { readonly svg: string; readonly isMissing: boolean } {
  let isMissing = false;
  const made = svg.replace(/<title>[^<]*<\/title>/g, "").replace(/>([^<>]+)<\/text>/g, (_whole, inner: string) => {
    const found = runsOf(plain(inner), coverage, mark);
    isMissing ||= found.isMissing;
    const spans = found.runs.map(({ words, isExt }) =>
      isExt ? `<tspan font-family="${FAMILY_EXT}">${escapeXml(words)}</tspan>` : escapeXml(words),
    );
    return `>${spans.join("")}</text>`;
  });
  return { svg: made, isMissing };
}
