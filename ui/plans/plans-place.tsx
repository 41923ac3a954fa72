"use client";

import { Button } from "antd";
import Link from "next/link";
import { useState } from "react";
import { chosenSoundSystem, freeId, MOST_SNAPSHOTS, type Job } from "@/core/job";
import { planCommand, PRESET_NAMES, type Bond, type PlanSearch, type WiringPlan } from "@/core/plan";
import { impossibleSchool, planProof, PRESET_WORDS } from "@/core/text";
import { EffectLine, Sheet, useIntents, useJob } from "@/ui/job";
import { EmptyPlace, Switcher, useChosen } from "@/ui/kit";
import { useStock } from "@/ui/stock";
import { plansWords } from "@/ui/words";
import { Bonds } from "./bonds";
import { PlanBench } from "./plan-bench";
import { PlanStory } from "./plan-story";
import styles from "./plans.module.css";
import { usePlans } from "./use-plans";

const CHOICES = PRESET_NAMES.map((key) => ({ key, name: PRESET_WORDS[key] }));
/** A person compares so many at once. */
const SIDE_BY_SIDE = 4;
const NO_BONDS: readonly Bond[] = [];

/** The ways to wire this room, the best of each school side by side, planned aside and proven where it says so. */
export function PlansPlace() {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const [wanted, setWanted] = useChosen("weights");
  const [column, setColumn] = useState(0);
  const [bonds, setBonds] = useState<readonly Bond[]>(NO_BONDS);
  const preset = PRESET_NAMES.find((name) => name === wanted) ?? "best-sound";
  const { planning, stop, again } = usePlans(job, preset, bonds, useStock());
  const system = chosenSoundSystem(job)?.id ?? "";
  const plans = planning.state === "found" ? planning.found.plans.slice(0, SIDE_BY_SIDE) : [];
  const chosen = plans[column] ? column : 0;
  const plan = plans[chosen];
  const apply = (one: WiringPlan) => {
    const command = planCommand(job, one);
    edit({ kind: "batch", commands: [...keepBefore(job), ...(command.kind === "batch" ? command.commands : [command])] });
  };
  return (
    <Sheet
      marginLabel={plansWords.marginLabel}
      margin={
        plan ? (
          <>
            <PlanStory plan={plan} system={system} onApply={() => apply(plan)} />
            <Bonds plan={plan} bonds={bonds} onBonds={setBonds} />
          </>
        ) : null
      }
      foot={<EffectLine />}
    >
      <div className={styles.plans}>
        <header>
          <h2 className="for-ears-only">{plansWords.plans}</h2>
          <Switcher label={plansWords.weights} choices={CHOICES} chosen={preset} onChoose={setWanted} />
        </header>
        {planning.state === "looking" ? (
          <p className={styles.looking} role="status">
            {plansWords.looking(planning.points)}
            <Button size="small" onClick={stop}>
              {plansWords.stop}
            </Button>
          </p>
        ) : null}
        {planning.state === "stopped" ? (
          <p className={styles.looking} role="status">
            {plansWords.stopped}
            <Button size="small" onClick={again}>
              {plansWords.again}
            </Button>
          </p>
        ) : null}
        {planning.state === "nothing" ? (
          <EmptyPlace heading={plansWords.emptyHeading} words={plansWords.empty}>
            <Link href="gear">{plansWords.takeStock}</Link>
          </EmptyPlace>
        ) : null}
        {planning.state === "found" ? (
          <>
            <p role="status">{planProof(planning.found)}</p>
            <PlanBench plans={plans} chosen={chosen} onChoose={setColumn} />
            <NotHere job={job} found={planning.found} system={system} />
            {plans.length === 0 && bonds.length ? <Button onClick={() => setBonds(NO_BONDS)}>{plansWords.letGo}</Button> : null}
          </>
        ) : null}
      </div>
    </Sheet>
  );
}

/** Ways that this room does not allow, with the reason, and those beyond the fourth. */
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

/** The room as it stood before a plan, kept to compare with, where there is room for one more. */
function keepBefore(job: Job) {
  if (job.snapshots.length >= MOST_SNAPSHOTS) return [];
  const id = freeId("before-plan", new Set(job.snapshots.map((snapshot) => snapshot.id)));
  const snapshot = { id, name: plansWords.before, takenAt: new Date().toISOString(), devices: job.devices, cables: job.cables };
  return [{ kind: "keep-snapshot", snapshot, at: null } as const];
}
