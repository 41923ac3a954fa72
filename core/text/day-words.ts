import { plural } from "./plural";
import { durationWords } from "./visit-words";

/** A minute of the day: "09:30"; past midnight it goes on counting from nought. */
export function timeOfDay(minutes: number): string {
  const within = ((Math.round(minutes) % 1440) + 1440) % 1440;
  return `${String(Math.floor(within / 60)).padStart(2, "0")}:${String(within % 60).padStart(2, "0")}`;
}

/** What a calendar entry tells of a visit. */
export interface CalendarFacts {
  readonly customer: string;
  readonly minutes: number;
  readonly people: number;
  readonly load: readonly string[];
  readonly missing: readonly string[];
  readonly buy: readonly string[];
  readonly tools: readonly string[];
  readonly questions: readonly string[];
}

/** A calendar is read on a phone at the door: a longer list of questions is in the job. */
const MOST_QUESTIONS = 12;

/** The words of a calendar entry: how long, what to load and buy, what to ask. */
export function calendarWords({ customer, minutes, people, load, missing, buy, tools, questions }: CalendarFacts): string {
  const more = questions.length - MOST_QUESTIONS;
  const list = (name: string, items: readonly string[]) => (items.length ? [`${name}:`, ...items.map((item) => `- ${item}`)] : []);
  return [
    ...(customer ? [customer] : []),
    `About ${durationWords(minutes)}, ${people === 1 ? "one person" : "two people"}.`,
    ...list("Load from the van", load),
    ...list("Not in the van", missing),
    ...list("Buy before", buy),
    ...list("Tools", tools),
    ...list("Find out on site", questions.slice(0, MOST_QUESTIONS)),
    ...(more > 0 ? [`and ${plural(more, "more question", "more questions")} in the job`] : []),
  ].join("\n");
}

/** Why a visit does not fit its day. */
export const tooEarlyWords = (short: number): string =>
  `Begins ${durationWords(short)} too early: the visit before it, and the way, are not over.`;
