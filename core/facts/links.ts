import { megabitsPerSecond, type MegabitsPerSecond } from "@/core/units";
import type { Bed } from "./beds";
import type { Coding } from "./codings";

interface LinkFact {
  readonly id: string;
  readonly name: string;
  /** The largest LPCM bed that is certain to cross. */
  readonly lpcm: Bed;
  /** The largest IEC 61937 payload that it carries. */
  readonly capacityMbps: MegabitsPerSecond;
  /** What a sender may take for granted when the link reports nothing back; null where the far end reports its own list. */
  readonly assumes: readonly Coding[] | null;
  readonly source: string;
}

/** Sound over each kind of link. ARC is one IEC 60958 stream of up to 192 kHz frames: 192 × 32 = 6.144 Mb/s. */
export const LINKS = [
  {
    id: "hdmi",
    name: "HDMI",
    lpcm: "7.1",
    capacityMbps: megabitsPerSecond(24.576),
    assumes: null,
    source: "HDMI 1.3 §7.6 high-bit-rate audio: 768 kHz frames × 32 bits",
  },
  {
    id: "earc",
    name: "eARC",
    lpcm: "7.1",
    capacityMbps: megabitsPerSecond(24.576),
    assumes: null,
    source: "HDMI 2.1 §9.5 eARC, differential mode",
  },
  {
    id: "arc",
    name: "ARC",
    lpcm: "2.0",
    capacityMbps: megabitsPerSecond(6.144),
    assumes: null,
    source: "HDMI 1.4 Supplement 2: one IEC 60958-1 stream",
  },
  {
    id: "optical",
    name: "optical",
    lpcm: "2.0",
    capacityMbps: megabitsPerSecond(3.072),
    assumes: ["lpcm", "ac3", "dts"],
    source: "IEC 60958-3 over plastic fibre: 48 kHz certain, 96 kHz usual (96 × 32 = 3.072)",
  },
] as const satisfies readonly LinkFact[];

export type LinkKind = (typeof LINKS)[number]["id"];

const byId = new Map<LinkKind, LinkFact>(LINKS.map((row) => [row.id, row]));

export function linkFact(link: LinkKind): LinkFact {
  const row = byId.get(link);
  if (!row) throw new Error(`No fact for link ${link}`);
  return row;
}
