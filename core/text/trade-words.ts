import type { Job } from "@/core/job";
import type { Supposition, Trade, TradedPlan, Trades, WhatIf, WiringPlan } from "@/core/plan";
import { deviceName, listed, roomName, upperFirst } from "./names";
import { plural } from "./plural";
import { planIdea, SCHOOL_WORDS } from "./plan-words";

/** What is supposed of a room. */
export function suppositionWords(job: Job, supposition: Supposition): string {
  switch (supposition.suppose) {
    case "one-more-input":
      return `With one more HDMI input at ${deviceName(job, supposition.device)}`;
    case "earc":
      return `With eARC in place of ARC at ${deviceName(job, supposition.device)}`;
    case "return-socket":
      return `With an ARC socket at ${deviceName(job, supposition.device)}`;
    case "passes-dts":
      return `If ${deviceName(job, supposition.device)} passed DTS on`;
    case "run-allowed":
      return `If a cable could run between ${listed(supposition.between.map((id) => roomName(job, id)))}`;
  }
}

/** What changes if something were otherwise: how much better the best plan then is, and what it is. */
export function whatIfSentence({ supposition, plan, gain }: WhatIf, before: WiringPlan, system: string): string {
  const whole = plan.figures.whole - before.figures.whole;
  const parts = [
    ...(whole > 0 ? [`${plural(whole, "more row")} would play all they can`] : []),
    ...(plan.school === before.school ? [] : [`the best way would be \u201c${SCHOOL_WORDS[plan.school].toLowerCase()}\u201d`]),
    `${gain.toFixed(1)} points more`,
  ];
  return `${suppositionWords(plan.job, supposition)}: ${listed(parts)}. ${planIdea(plan, system)}`;
}

/** How sure it is that no plan is missing among those that none beats. */
export function tradesProof({ plans, of, isWhole, leadsLeftOut }: Trades): string {
  const shown = plans.length < of ? `${plans.length} of ${plural(of, "plan")}, those least like each other,` : plural(of, "plan");
  const others = leadsLeftOut
    ? "every other way by HDMI was shown to be no better. One sound cable more of a player\u2019s own, or one less, was not tried here."
    : "every other way was shown to be no better.";
  return isWhole
    ? `${upperFirst(shown)} that no other beats in arrivals, ease, cost and work together; ${others}`
    : `${upperFirst(shown)} that no other found beats in arrivals, ease, cost and work together; time ran out before every way was checked.`;
}

/** The trade that a plan is against the others, in its strongest words. */
export function tradeWords({ trade }: TradedPlan, others: readonly TradedPlan[]): string {
  /** How many of the others are at least as good in it. */
  const rivals = (of: keyof Trade, sign: 1 | -1) =>
    others.filter((other) => other.trade !== trade && sign * other.trade[of] >= sign * trade[of] - 1e-9).length;
  const best = (of: keyof Trade, sign: 1 | -1) => others.every((other) => sign * other.trade[of] <= sign * trade[of] + 1e-9);
  const strengths = [
    { words: "most arrives", rivals: rivals("arrivals", 1), isBest: best("arrivals", 1) },
    { words: "easiest", rivals: rivals("ease", 1), isBest: best("ease", 1) },
    { words: "cheapest", rivals: rivals("cost", -1), isBest: best("cost", -1) },
    { words: "least work", rivals: rivals("work", -1), isBest: best("work", -1) },
  ].filter(({ isBest }) => isBest);
  // What it shares with others is told only where it has nothing to itself.
  const alone = strengths.filter((one) => one.rivals === 0);
  const told = (alone.length ? alone : strengths).map(({ words }) => words);
  return told.length ? upperFirst(listed(told)) : "In between";
}
