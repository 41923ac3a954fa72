import { plural } from "@/core/text";

/** Words of the days: visits in their order, and what the van takes along. */
export const daysWords = {
  oneDay: "one day",
  aWeek: "a week",
  span: "How many days",
  before: "Earlier",
  after: "Later",
  firstDay: "First day",
  calendar: "Calendar file",
  print: "Print",
  tookTooLong: "The server did not get through in time. Ask for one day instead of a week.",
  noVisit: "No visit in these days",
  noVisitWords: "A job comes here by the day of its visit, which its particulars hold: press the name of a job.",
  more: (count: number) => `${plural(count, "more visit")} in these days; ask for fewer days to see them.`,
  noAddress: "no customer or address noted",
  agreed: "Agreed time.",
  notAgreed: "No time agreed: where it fits.",
  work: (steps: number, time: string, people: number) =>
    `${plural(steps, "step")} left, about ${time} for ${people === 1 ? "one person" : "two people"}.`,
  proven: (proven: number, all: number) => `${proven} of ${all} proven.`,
  longer: (by: string, agreed: string) => `Takes ${by} longer than the ${agreed} that the household was told.`,
  questions: (count: number) => `${plural(count, "question")} to ask`,
  load: "Load the van",
  nothingToLoad: "Nothing from the van and nothing to buy.",
  missing: (count: number) => `${count} not in the van`,
  buy: "Buy before",
  tools: "Tools",
  due: "Due in the next two months",
  nothingDue: "Nothing is due. Firmware, batteries and promised visits of jobs that were handed over come up here.",
  dueCalendar: "Due dates as a calendar file, one year ahead",
  overdue: "overdue",
};
