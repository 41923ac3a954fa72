import { FRL_BY_CODE } from "@/core/facts";
import { at } from "../bytes";

/** The HDMI vendor block: place in the tree and largest TMDS clock. */
export interface HdmiVendorBlock {
  readonly physicalAddress: string;
  /** Null where the block does not say. */
  readonly maxTmdsMHz: number | null;
}

/** Source: HDMI 1.4 §8.3.2, payload after the identifier. */
export const readHdmiVendorBlock = (payload: Uint8Array): HdmiVendorBlock => ({
  physicalAddress: [at(payload, 0) >> 4, at(payload, 0) & 15, at(payload, 1) >> 4, at(payload, 1) & 15].join("."),
  maxTmdsMHz: payload.length > 3 && at(payload, 3) > 0 ? at(payload, 3) * 5 : null,
});

/** A place such as 1.2.0.0 in two bytes. */
export function physicalAddressBytes(address: string): [number, number] {
  const [a = 0, b = 0, c = 0, d = 0] = address.split(".").map(Number);
  return [((a & 15) << 4) | (b & 15), ((c & 15) << 4) | (d & 15)];
}

/** A place is a path: after the first zero only zeros may follow. Source: HDMI 1.4 §8.7.2. */
export const isPlace = (address: string): boolean => /^([1-9]\d?(\.[1-9]\d?)*(\.0)*|0(\.0)*)$/.test(address);

/** The HDMI Forum block. */
export interface HdmiForumBlock {
  readonly maxTmdsMHz: number | null;
  readonly maxFrlGbps: number | null;
  readonly allm: boolean;
  readonly vrr: { readonly min: number; readonly max: number } | null;
  readonly dsc: boolean;
}

/** Source: HDMI 2.1 §10.3.2, payload after the identifier. */
export function readHdmiForumBlock(payload: Uint8Array): HdmiForumBlock {
  const vrrMin = at(payload, 5) & 0x3f;
  const vrrMax = ((at(payload, 5) & 0xc0) << 2) | at(payload, 6);
  return {
    maxTmdsMHz: at(payload, 1) > 0 ? at(payload, 1) * 5 : null,
    maxFrlGbps: FRL_BY_CODE[at(payload, 3) >> 4] ?? null,
    allm: (at(payload, 4) & 0x02) !== 0,
    vrr: vrrMin > 0 || vrrMax > 0 ? { min: vrrMin, max: vrrMax } : null,
    dsc: (at(payload, 7) & 0x80) !== 0,
  };
}

/** The payload of an HDMI Forum block after its identifier. */
export function writeHdmiForumBlock({ maxTmdsMHz, maxFrlGbps, allm, vrr }: Omit<HdmiForumBlock, "dsc">): number[] {
  const frl = Math.max(0, (FRL_BY_CODE as readonly (number | null)[]).indexOf(maxFrlGbps));
  return [
    1,
    Math.round((maxTmdsMHz ?? 0) / 5),
    0x80, // SCDC is there: needed for character rates above 340 MHz and for fixed-rate links.
    frl << 4,
    allm ? 0x02 : 0,
    ...(vrr || frl ? [((vrr?.min ?? 0) & 0x3f) | (((vrr?.max ?? 0) >> 2) & 0xc0), (vrr?.max ?? 0) & 0xff] : []),
  ];
}
