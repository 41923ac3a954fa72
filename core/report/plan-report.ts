import { arrivalsOf } from "@/core/chain";
import {
  planCommand,
  scheduleOf,
  settingsSheetOf,
  shoppingOf,
  type Must,
  type CheckedSearch,
  type Trades,
  type WhatIf,
  type WhyNot,
  type WishConflict,
  type WiringPlan,
  type WiringSpace,
} from "@/core/plan";
import {
  changeWords,
  conflictOfWishes,
  figureLines,
  givenUp,
  impossibleSchool,
  mustWords,
  planIdea,
  planProof,
  SCHOOL_WORDS,
  shoppingWords,
  socketName,
  tradesProof,
  tradeWords,
  whatIfSentence,
  whyNotSentence,
} from "@/core/text";

/** What is told beside the plans: how many of them, wishes that cannot all be had, the answer to “why not so?”. */
export interface PlansReportOptions {
  readonly top?: number;
  readonly conflict?: WishConflict | null;
  readonly asked?: WhyNot | null;
  readonly trades?: Trades | null;
  readonly whatIfs?: readonly WhatIf[] | null;
}

/** What a wish is about. */
const wishedOf = (wish: Must) => ("device" in wish ? { device: wish.device } : { most: wish.most });

/** The machine form of plans: the outside contract of `octachord plan --json` and of the plans over HTTP. */
export function plansReport(space: WiringSpace, found: CheckedSearch, options: PlansReportOptions = {}) {
  const { top = found.plans.length, conflict, asked, trades, whatIfs } = options;
  const { job, system } = space;
  const [best] = found.plans;
  return {
    plans: found.plans.slice(0, top).map((plan, index) => ({
      ...planReport(space, plan),
      proven: index === 0 ? found.proven : found.schoolsProven,
      gap: index === 0 ? rounded(found.gap) : 0,
      behind: best ? rounded(best.points - plan.points) : 0,
    })),
    proven: found.proven,
    gap: rounded(found.gap),
    words: planProof(found),
    check: found.check
      ? {
          played: found.check.played,
          better: found.check.better.map(({ change, more }) => ({
            words: changeWords(best?.job ?? job, change),
            more: rounded(more),
            command: change.command,
          })),
        }
      : null,
    impossible: found.impossible.map((school) => ({ school, words: impossibleSchool(job, school, system.id) })),
    looked: found.looked,
    ...(conflict
      ? {
          conflict:
            conflict.kind === "conflict"
              ? conflict.musts.map((one) => ({ must: one.want, ...wishedOf(one), words: mustWords(job, one) }))
              : [],
          conflictWords: conflictOfWishes(job, conflict),
        }
      : {}),
    ...(trades
      ? {
          trades: trades.plans.map((one) => ({ ...planReport(space, one.plan), trade: one.trade, words: tradeWords(one, trades.plans) })),
          tradesProven: trades.isWhole,
          tradesWords: tradesProof(trades),
        }
      : {}),
    ...(whatIfs && best
      ? {
          whatIf: whatIfs.map((one) => ({
            ...one.supposition,
            gain: rounded(one.gain),
            proven: one.proven,
            words: whatIfSentence(one, best, system.id),
          })),
        }
      : {}),
    ...(asked ? { whyNot: { behind: asked.behind, proven: asked.proven, words: whyNotSentence(asked, system.id) } } : {}),
  };
}

function planReport({ job, system }: WiringSpace, plan: WiringPlan) {
  const { school, points, figures, boxes, settings } = plan;
  return {
    school,
    name: SCHOOL_WORDS[school],
    score: rounded(points),
    figures: { ...figures, sound: rounded(figures.sound), picture: rounded(figures.picture), ease: rounded(figures.ease) },
    boxes: boxes.map(({ device, price, isThere }) => ({ device: device.id, archetype: device.archetype, price, isThere })),
    cables: scheduleOf(job, plan).map(({ cable, work, run }) => ({
      ...cable,
      work,
      run,
      ends: { from: socketName(plan.job, cable.from), to: socketName(plan.job, cable.to) },
    })),
    settings: settings.map(({ device, key, value }) => ({ device, setting: key, value })),
    menus: settingsSheetOf(job, plan),
    shopping: shoppingOf(plan).map((line) => ({ ...line, words: shoppingWords(line) })),
    arrivals: arrivalsOf(plan.job).map(({ id, player, verdict, arrives, screen }) => ({ id, player, verdict, arrives, screen })),
    why: { idea: planIdea(plan, system.id), figures: figureLines(plan), givenUp: givenUp(plan).map(({ words }) => words) },
    command: planCommand(job, plan),
  };
}

const rounded = (value: number): number => Number(value.toFixed(4));
