/** After how long something is looked at again, with the reasoning. */
export const DUE_TERMS = [
  {
    kind: "firmware",
    months: 12,
    because: "Makers mend return channels and formats by updates; once a year is often enough for gear that works.",
  },
  {
    kind: "battery",
    months: 24,
    because: "Lithium cells lose about a fifth of their charge in two years of daily use; then the agreed days no longer hold.",
  },
] as const;

export type DueTerm = (typeof DUE_TERMS)[number]["kind"];

/** Months until something of a kind is due again. */
export const dueMonths = (kind: DueTerm): number => DUE_TERMS.find((row) => row.kind === kind)?.months ?? 12;
