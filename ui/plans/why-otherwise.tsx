"use client";

import type { Remote } from "comlink";
import { useMemo, useState } from "react";
import { pinnable, readAsked, SCHOOLS, type Bond, type WiringPlan } from "@/core/plan";
import { effectiveSetting, SHELF } from "@/core/device";
import { settingFact } from "@/core/facts";
import { SCHOOL_WORDS, whatIfSentence, whyNotSentence, settingValue } from "@/core/text";
import { useJob } from "@/ui/job";
import { answerOf, Choice, WorkNote } from "@/ui/kit";
import { plansWords } from "@/ui/words";
import type { PlanQuestion, PlansWorker } from "@/workers/plans-worker";
import styles from "./plans.module.css";
import { usePlanner } from "./use-plans";

interface Asked {
  readonly best: WiringPlan;
  readonly bond: Bond;
}

const askWhyNot = (planner: Remote<PlansWorker>, question: PlanQuestion, { best, bond }: Asked) => planner.whyNot(question, best, bond);
const askWhatIf = (planner: Remote<PlansWorker>, question: PlanQuestion, best: WiringPlan) => planner.whatIfs(question, best);

/** Why the best plan is not otherwise: what a person asks about is planned with, and what would change it is told unasked. */
export function WhyOtherwise({ question, best, system }: { question: PlanQuestion; best: WiringPlan; system: string }) {
  const job = useJob((state) => state.job);
  const [text, setText] = useState<string | null>(null);
  const asked = useMemo((): Asked | null => {
    const bond = text === null ? null : readAsked(job, text);
    return bond && { best, bond };
  }, [job, text, best]);
  const whyNot = usePlanner(question, asked, askWhyNot);
  const whatIf = usePlanner(question, best, askWhatIf);
  const [answer, ifs] = [answerOf(whyNot.work), answerOf(whatIf.work)];
  const players = job.devices.filter(({ id }) => best.places.has(id));
  const hubs = pinnable(job);
  return (
    <section className={styles.wishes} aria-label={plansWords.whyOtherwise}>
      <Choice
        label={plansWords.whyNot}
        showSearch={{ optionFilterProp: "label" }}
        value={text}
        placeholder={plansWords.whyNot}
        options={[
          ...players.flatMap(({ id, name }) =>
            hubs
              .filter((hub) => best.places.get(id) !== hub.id)
              .map((hub) => ({ value: `${id}:${hub.id}`, label: plansWords.into(name, hub.name) })),
          ),
          ...SCHOOLS.filter((school) => school !== best.school).map((school) => ({
            value: `school:${school}`,
            label: SCHOOL_WORDS[school],
          })),
          ...best.job.devices.flatMap((device) =>
            device.settings.flatMap(({ key, options }) =>
              options
                .filter((value) => value !== effectiveSetting(device, key, "planned"))
                .map((value) => ({
                  value: `setting:${device.id}.${key}=${value}`,
                  label: plansWords.setTo(device.name, settingFact(key).name, settingValue(device, key, value)),
                })),
            ),
          ),
          ...SHELF.filter(({ role }) => role === "box").map(({ archetype, name }) => ({
            value: `box:${archetype}`,
            label: plansWords.withBox(name),
          })),
        ]}
        onChange={(value: string | null) => setText(value)}
      />
      {answer ? <p role="status">{whyNotSentence(answer, system)}</p> : <WorkNote working={whyNot} words={plansWords.planningWithIt} />}
      <h3>{plansWords.whatIf}</h3>
      <WorkNote working={whatIf} words={plansWords.supposing} />
      {ifs?.length === 0 ? <p className={styles.quiet}>{plansWords.nothingHangsOn}</p> : null}
      {ifs?.length ? (
        <ul>
          {ifs.map((one) => (
            <li key={JSON.stringify(one.supposition)}>{whatIfSentence(one, best, system)}</li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}
