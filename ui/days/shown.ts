import type { LoadLine, PlannedVisit } from "@/core/days";
import type { VisitBrief } from "@/core/report";

/** A visit as the server plans it into its day. */
export interface DayVisitShown extends PlannedVisit {
  readonly brief: VisitBrief;
  readonly missing: readonly string[];
}

/** Some days of visits, as the server plans them. */
export interface VisitDaysShown {
  readonly days: readonly { readonly day: string; readonly visits: readonly DayVisitShown[] }[];
  readonly load: readonly LoadLine[];
  readonly more: number;
  readonly next: string | null;
}
