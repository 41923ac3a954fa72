import { megabitsPerSecond, milliseconds, type MegabitsPerSecond } from "@/core/units";
import type { Bed } from "./beds";
import type { Coding } from "./codings";

interface LinkFact {
  readonly id: string;
  readonly name: string;
  /** The largest LPCM bed that is certain to cross. */
  readonly lpcm: Bed;
  /** The highest LPCM sampling rate that is certain to cross. */
  readonly lpcmKHz: number;
  /** The largest IEC 61937 payload that it carries. */
  readonly capacityMbps: MegabitsPerSecond;
  /** What a sender may take for granted when the link reports nothing back; null where the far end reports its own list. */
  readonly assumes: readonly Coding[] | null;
  /** What happens to any sound on it: nothing, or it becomes analogue, or it is coded once more with loss. */
  readonly turnsInto: "as-sent" | "analogue" | "lossy";
  readonly source: string;
}

/** Sound over each kind of link. ARC is one IEC 60958 stream of up to 192 kHz frames: 192 × 32 = 6.144 Mb/s. */
export const LINKS = [
  {
    id: "hdmi",
    name: "HDMI",
    lpcm: "7.1",
    lpcmKHz: 192,
    capacityMbps: megabitsPerSecond(24.576),
    assumes: null,
    turnsInto: "as-sent",
    source: "HDMI 1.3 §7.6 high-bit-rate audio: 768 kHz frames × 32 bits",
  },
  {
    id: "earc",
    name: "eARC",
    lpcm: "7.1",
    lpcmKHz: 192,
    capacityMbps: megabitsPerSecond(24.576),
    assumes: null,
    turnsInto: "as-sent",
    source: "HDMI 2.1 §9.5 eARC, differential mode",
  },
  {
    id: "arc",
    name: "ARC",
    lpcm: "2.0",
    lpcmKHz: 48,
    capacityMbps: megabitsPerSecond(6.144),
    assumes: null,
    turnsInto: "as-sent",
    source: "HDMI 1.4 Supplement 2: one IEC 60958-1 stream",
  },
  {
    id: "optical",
    name: "optical",
    lpcm: "2.0",
    lpcmKHz: 48,
    capacityMbps: megabitsPerSecond(3.072),
    assumes: ["lpcm", "ac3", "dts"],
    turnsInto: "as-sent",
    source: "IEC 60958-3 over plastic fibre: 48 kHz certain, 96 kHz usual (96 × 32 = 3.072)",
  },
  {
    id: "coaxial",
    name: "coaxial",
    lpcm: "2.0",
    lpcmKHz: 192,
    capacityMbps: megabitsPerSecond(6.144),
    assumes: ["lpcm", "ac3", "dts"],
    turnsInto: "as-sent",
    source: "IEC 60958-3 over 75 Ω: frames up to 192 kHz (192 × 32 = 6.144); in practice the content of optical",
  },
  {
    id: "analogue",
    name: "analogue",
    lpcm: "2.0",
    lpcmKHz: 192,
    capacityMbps: megabitsPerSecond(0),
    assumes: ["lpcm"],
    turnsInto: "analogue",
    source: "IEC 61938: two channels; no coding crosses, so it takes decoded sound and a DAC",
  },
  {
    id: "usb",
    name: "USB",
    lpcm: "2.0",
    lpcmKHz: 192,
    capacityMbps: megabitsPerSecond(24.576),
    assumes: ["lpcm"],
    turnsInto: "as-sent",
    source: "USB 2.0 mass storage: the far end reads files, here stereo music",
  },
  {
    id: "bluetooth",
    name: "Bluetooth",
    lpcm: "2.0",
    lpcmKHz: 48,
    capacityMbps: megabitsPerSecond(0),
    assumes: ["lpcm"],
    turnsInto: "lossy",
    source: "Bluetooth A2DP 1.3 §4.3: stereo, coded once more with loss (SBC and kin)",
  },
] as const satisfies readonly LinkFact[];

export type LinkKind = (typeof LINKS)[number]["id"];

const byId = new Map<LinkKind, LinkFact>(LINKS.map((row) => [row.id, row]));

export function linkFact(link: LinkKind): LinkFact {
  const row = byId.get(link);
  if (!row) throw new Error(`No fact for link ${link}`);
  return row;
}

/** How late Bluetooth plays; low delay only where both ends have it. Source: A2DP 1.3 §4.3 buffers, 100–250 ms usual; low-delay codecs about 40 ms. */
export const BLUETOOTH_DELAY = { usual: milliseconds(200), low: milliseconds(40) } as const;
