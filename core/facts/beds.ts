/** The strings of a cord, from the top. */
export const STRINGS = ["L", "R", "C", "LFE", "Ls", "Rs", "Lb", "Rb"] as const;
export type StringName = (typeof STRINGS)[number];

/** Channel beds that a signal or a set of speakers can have, smallest first. Source: ITU-R BS.2051-3 Table 1, systems 0+1+0 to 0+7+0. */
export const BEDS = [
  { bed: "1.0", strings: ["C"] },
  { bed: "2.0", strings: ["L", "R"] },
  { bed: "2.1", strings: ["L", "R", "LFE"] },
  { bed: "3.0", strings: ["L", "R", "C"] },
  { bed: "3.1", strings: ["L", "R", "C", "LFE"] },
  { bed: "5.0", strings: ["L", "R", "C", "Ls", "Rs"] },
  { bed: "5.1", strings: ["L", "R", "C", "LFE", "Ls", "Rs"] },
  { bed: "6.1", strings: ["L", "R", "C", "LFE", "Ls", "Rs", "Lb"] },
  { bed: "7.1", strings: ["L", "R", "C", "LFE", "Ls", "Rs", "Lb", "Rb"] },
] as const satisfies readonly { bed: string; strings: readonly StringName[] }[];

export type Bed = (typeof BEDS)[number]["bed"];
export const BED_IDS = BEDS.map((row) => row.bed) as [Bed, ...Bed[]];

const stringsByBed = new Map<Bed, readonly StringName[]>(BEDS.map((row) => [row.bed, row.strings]));

/** The strings that a bed fills. */
export const bedStrings = (bed: Bed): readonly StringName[] => stringsByBed.get(bed) ?? [];

/** How many channels a bed has, the LFE counted. */
export const bedChannels = (bed: Bed): number => bedStrings(bed).length;

/** The largest bed with no more than `channels` channels: what a link or decoder of that many channels holds. */
export function bedOfAtMost(channels: number): Bed {
  let best: Bed = "1.0";
  for (const row of BEDS) if (row.strings.length <= channels) best = row.bed;
  return best;
}

/** The smaller of two beds: what remains of `a` where only `b` fits. */
export const smallerBed = (a: Bed, b: Bed): Bed => (bedChannels(a) <= bedChannels(b) ? a : b);

/** The main channels of a bed, without LFE: a 2.0 recording on 3.1 speakers is whole, and bass management is the sound system's affair. */
export const mainChannels = (bed: Bed): number => bedStrings(bed).filter((name) => name !== "LFE").length;
