/** A visit that is to have its place in a day. */
export interface VisitToPlan {
  readonly id: string;
  /** The day, as YYYY-MM-DD. */
  readonly day: string;
  /** When it begins as agreed, as HH:MM; null: whenever it fits. */
  readonly at: string | null;
  /** Minutes that its work still takes. */
  readonly minutes: number;
}

/** A visit in its day, in minutes since midnight. */
export interface PlannedVisit {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  /** It begins when the household was told. */
  readonly isAgreed: boolean;
  /** It begins while the one before is still going on, or with no time left for the way; the minutes that are missing. */
  readonly short: number;
}

export interface PlannedDay {
  readonly day: string;
  readonly visits: readonly PlannedVisit[];
}

/** A day begins at eight where nothing is agreed. */
const DAY_BEGINS = 8 * 60;
/** So much lies between two visits, for the way and the van. An estimate: nothing here knows the roads. */
export const WAY_MINUTES = 30;

/**
 * The days of some visits, in order. What is agreed stands where it was agreed; the others fill the gaps, the first that is long enough, in the
 * order given. Nobody is in two places: where an agreed visit comes too early, the missing minutes are given.
 */
export function planDays(visits: readonly VisitToPlan[]): readonly PlannedDay[] {
  const days = [...new Set(visits.map(({ day }) => day))].toSorted();
  return days.map((day) => ({ day, visits: planDay(visits.filter((visit) => visit.day === day)) }));
}

function planDay(visits: readonly VisitToPlan[]): readonly PlannedVisit[] {
  const agreed = visits.flatMap(({ id, at, minutes }) => (at === null ? [] : [{ id, from: minuteOf(at), to: minuteOf(at) + minutes }]));
  const taken = agreed.map((visit) => ({ ...visit, isAgreed: true }));
  for (const { id, at, minutes } of visits) {
    if (at !== null) continue;
    const from = firstGap(taken, minutes);
    taken.push({ id, from, to: from + minutes, isAgreed: false });
  }
  const inOrder = taken.toSorted((a, b) => a.from - b.from || a.to - b.to);
  return inOrder.map((visit, index) => {
    const latest = Math.max(...inOrder.slice(0, index).map(({ to }) => to + WAY_MINUTES), 0);
    return { ...visit, short: Math.max(0, latest - visit.from) };
  });
}

/** The earliest begin at which a visit of so many minutes touches no other, the way between them kept free. */
function firstGap(taken: readonly { readonly from: number; readonly to: number }[], minutes: number): number {
  const begins = [DAY_BEGINS, ...taken.map(({ to }) => to + WAY_MINUTES)].filter((from) => from >= DAY_BEGINS).toSorted((a, b) => a - b);
  const fits = (from: number) => taken.every((one) => from >= one.to + WAY_MINUTES || from + minutes + WAY_MINUTES <= one.from);
  // Behind the last of them there is always room.
  return begins.find(fits) ?? DAY_BEGINS;
}

const minuteOf = (at: string): number => Number(at.slice(0, 2)) * 60 + Number(at.slice(3));
