"use client";

import { Button } from "antd";
import type { Remote } from "comlink";
import Link from "next/link";
import { useMemo, useState } from "react";
import { chosenSoundSystem, freeId, MOST_SNAPSHOTS, stepsOf, type Job } from "@/core/job";
import {
  planCommand,
  presetOf,
  PRESET_NAMES,
  PRESETS,
  readWeights,
  weightsOf,
  writeWeights,
  type PlanSearch,
  type Trades,
  type WiringPlan,
} from "@/core/plan";
import { impossibleSchool, planProof, PRESET_WORDS, SCHOOL_WORDS, tradesProof, tradeWords } from "@/core/text";
import { EffectLine, Sheet, useIntents, useJob } from "@/ui/job";
import { answerOf, EmptyPlace, PdfLink, Switcher, Tabs, useChosen, WorkNote } from "@/ui/kit";
import { useStock } from "@/ui/stock";
import { plansWords } from "@/ui/words";
import type { PlanQuestion, PlansWorker } from "@/workers/plans-worker";
import { Conflict } from "./conflict";
import { FineTuning } from "./fine-tuning";
import { PlanBench, type BenchColumn } from "./plan-bench";
import { PlanStory } from "./plan-story";
import styles from "./plans.module.css";
import { usePlanner, usePlans } from "./use-plans";
import { WhyOtherwise } from "./why-otherwise";
import { NO_WISHES, WishList } from "./wishes";

const TUNED = "tuned";
const WEIGHTS = [...PRESET_NAMES.map((key) => ({ key, name: PRESET_WORDS[key] })), { key: TUNED, name: plansWords.tuning }] as const;
const VIEWS = [
  { key: "ways", name: plansWords.ways },
  { key: "trades", name: plansWords.trades },
] as const;
const MARGIN = [
  { key: "plan", name: plansWords.thisPlan },
  { key: "wishes", name: plansWords.wishes },
  { key: "why", name: plansWords.whyOtherwise },
] as const;
/** A person compares so many at once. */
const SIDE_BY_SIDE = 4;

const askTrades = (planner: Remote<PlansWorker>, question: PlanQuestion) => planner.trades(question);

/** The ways to wire this room, side by side: the best of each school, or those that no other beats, planned aside. */
export function PlansPlace() {
  const job = useJob((state) => state.job);
  const jobId = useJob((state) => state.id);
  const { edit } = useIntents();
  const stock = useStock();
  const [wanted, setWanted] = useChosen("weights");
  const [view, setView] = useChosen("view");
  const [tab, setTab] = useState<(typeof MARGIN)[number]["key"]>("plan");
  const [column, setColumn] = useState(0);
  const { weighing } = job.brief;
  const weights = useMemo(() => weightsIn(wanted) ?? weightsOf({ weighing }), [wanted, weighing]);
  const preset = presetOf(weights);
  const question = useMemo<PlanQuestion | null>(() => stock && { job, weights, ...stock }, [job, weights, stock]);
  // Which plans no other beats depends on no weights: what is played through for it is the same for all.
  const unweighed = useMemo<PlanQuestion | null>(() => stock && { job, weights: PRESETS["best-sound"], ...stock }, [job, stock]);
  const planning = usePlans(question);
  const { work, stop } = planning;
  const found = answerOf(work);
  const isTrades = view === "trades";
  const trading = usePlanner(unweighed, isTrades && found ? askTrades : null, askTrades);
  const trades = answerOf(trading.work);
  const system = chosenSoundSystem(job)?.id ?? "";
  const columns = useMemo(() => columnsOf(found, isTrades ? (trades?.plans ?? []) : null), [found, isTrades, trades]);
  const chosen = columns[column] ? column : 0;
  const plan = columns[chosen]?.plan;
  const best = found?.plans[0];
  const apply = (one: WiringPlan) => {
    const command = planCommand(job, one);
    edit({ kind: "batch", commands: [...keepBefore(job), ...stepsOf(command)] });
  };
  return (
    <Sheet
      marginLabel={plansWords.marginLabel}
      margin={
        question ? (
          <Tabs label={plansWords.marginLabel} tabs={MARGIN} chosen={tab} onChoose={setTab}>
            {tab === "plan" && plan ? <PlanStory plan={plan} system={system} onApply={() => apply(plan)} /> : null}
            {tab === "wishes" ? <WishList plan={plan} /> : null}
            {tab === "why" && best ? <WhyOtherwise question={question} best={best} system={system} /> : null}
          </Tabs>
        ) : null
      }
      foot={<EffectLine />}
    >
      <div className={styles.plans}>
        <header>
          <h2 className="for-ears-only">{plansWords.plans}</h2>
          <Switcher
            label={plansWords.weights}
            choices={WEIGHTS}
            chosen={preset ?? TUNED}
            onChoose={(key) => setWanted(key === TUNED ? writeWeights({ ...weights, sound: weights.sound - 5 }) : key)}
          />
          {writeWeights(weights) === writeWeights(weightsOf(job.brief)) ? null : (
            <Button size="small" onClick={() => void edit({ kind: "edit-brief", fields: { weighing: preset ?? weights } })}>
              {plansWords.keepWeights}
            </Button>
          )}
          <Switcher label={plansWords.view} choices={VIEWS} chosen={isTrades ? "trades" : "ways"} onChoose={setView} />
          <PdfLink jobId={jobId} print="plans" />
        </header>
        {preset === null && !isTrades ? <FineTuning weights={weights} onWeights={(next) => setWanted(writeWeights(next))} /> : null}
        {work.state === "working" ? (
          <p className={styles.looking} role="status">
            {plansWords.looking(work.part)}
            <Button size="small" onClick={stop}>
              {plansWords.stop}
            </Button>
          </p>
        ) : (
          <WorkNote working={planning} words="" />
        )}
        {work.state === "done" && found === null ? (
          <EmptyPlace heading={plansWords.emptyHeading} words={plansWords.empty}>
            <Link href="gear">{plansWords.takeStock}</Link>
          </EmptyPlace>
        ) : null}
        {found ? (
          <>
            {isTrades && !trades ? (
              <WorkNote working={trading} words={plansWords.lookingForTrades} />
            ) : (
              <p role="status">{isTrades && trades ? tradesProof(trades) : planProof(found)}</p>
            )}
            {columns.length ? <PlanBench columns={columns} system={system} chosen={chosen} onChoose={setColumn} /> : null}
            {isTrades ? null : <NotHere job={job} found={found} system={system} />}
            {found.plans.length === 0 && question ? (
              <Conflict question={question} onLetGo={() => void edit({ kind: "edit-brief", fields: NO_WISHES })} />
            ) : null}
          </>
        ) : null}
      </div>
    </Sheet>
  );
}

/** The weights that an address names, a preset or numbers; null where it names none. */
function weightsIn(text: string | null) {
  const preset = PRESET_NAMES.find((name) => name === text);
  return preset ? PRESETS[preset] : text === null ? null : readWeights(text);
}

/** What is compared: the best of each school, or the trades. */
function columnsOf(found: PlanSearch | null, trades: Trades["plans"] | null): readonly BenchColumn[] {
  if (trades) return trades.map((one) => ({ plan: one.plan, heading: tradeWords(one, trades), words: SCHOOL_WORDS[one.plan.school] }));
  const plans = found?.plans.slice(0, SIDE_BY_SIDE) ?? [];
  const top = plans[0]?.points ?? 0;
  return plans.map((plan, index) => ({
    plan,
    heading: SCHOOL_WORDS[plan.school],
    words: index === 0 ? plansWords.points(plan.points) : plansWords.behind(top - plan.points),
  }));
}

/** Ways that this room does not allow, with the reason. */
function NotHere({ job, found, system }: { job: Job; found: PlanSearch; system: string }) {
  if (found.impossible.length === 0) return null;
  return (
    <section className={styles.notHere} aria-label={plansWords.notHere}>
      <h3>{plansWords.notHere}</h3>
      <ul>
        {found.impossible.map((school) => (
          <li key={school}>{impossibleSchool(job, school, system)}</li>
        ))}
      </ul>
    </section>
  );
}

/** The room as it was before a plan, kept to compare with, where there is room for one more. */
function keepBefore(job: Job) {
  if (job.snapshots.length >= MOST_SNAPSHOTS) return [];
  const id = freeId("before-plan", new Set(job.snapshots.map((snapshot) => snapshot.id)));
  const snapshot = { id, name: plansWords.before, takenAt: new Date().toISOString(), devices: job.devices, cables: job.cables };
  return [{ kind: "keep-snapshot", snapshot, at: null } as const];
}
