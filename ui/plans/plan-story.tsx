"use client";

import { Button } from "antd";
import { Download, Printer } from "lucide-react";
import { planSheet, planTables } from "@/core/report";
import { delaysOf, scheduleOf, shoppingOf, type WiringPlan } from "@/core/plan";
import { cableClassName, fileStem, figureLines, givenUp, planIdea, planMenuLines, shoppingWords, socketName } from "@/core/text";
import { useJob } from "@/ui/job";
import { printPage, saveFile, TitledList } from "@/ui/kit";
import { plansWords } from "@/ui/words";
import styles from "./plans.module.css";

/** A plan told: its idea, its figures, what it gives up and why, what is missing for it, and the lists that follow from it. */
export function PlanStory({ plan, system, onApply }: { plan: WiringPlan; system: string; onApply: () => void }) {
  const job = useJob((state) => state.job);
  const lost = givenUp(plan);
  const shopping = shoppingOf(plan);
  const schedule = scheduleOf(job, plan).filter(({ work }) => work !== "stays");
  return (
    <div className={styles.story}>
      <p className={styles.idea}>{planIdea(plan, system)}</p>
      <Button type="primary" onClick={onApply}>
        {plansWords.apply}
      </Button>
      <ul className={styles.quiet}>
        {figureLines(plan).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <TitledList title={plansWords.givenUp} lines={lost.map(({ words }) => words)} none={plansWords.nothingGivenUp} />
      <TitledList title={plansWords.missing} lines={shopping.map(shoppingWords)} none={plansWords.nothingMissing} />
      <TitledList
        title={plansWords.toDo}
        lines={schedule.map(({ cable, work, adapter }) =>
          plansWords.lay(
            { isNew: work === "new", adapter },
            cableClassName(cable.class),
            socketName(plan.job, cable.from),
            socketName(plan.job, cable.to),
          ),
        )}
        none={plansWords.nothingToDo}
      />
      <TitledList title={plansWords.menus} lines={planMenuLines(job, plan)} none={plansWords.noMenus} />
      <TitledList
        title={plansWords.delays}
        lines={delaysOf(plan).map(({ at, ms, spreadMs }) => plansWords.delay(socketName(plan.job, at), ms, spreadMs))}
        none={plansWords.noDelays}
      />
      <div className={styles.buttons}>
        <Button
          size="small"
          icon={<Download size={14} aria-hidden />}
          onClick={() => saveFile(`${fileStem(job.name)}-plan.csv`, "text/csv;charset=utf-8", planTables(job, plan))}
        >
          {plansWords.saveLists}
        </Button>
        <Button
          size="small"
          icon={<Printer size={14} aria-hidden />}
          onClick={() => printPage(planSheet(job, plan, planIdea(plan, system)))}
        >
          {plansWords.printLists}
        </Button>
      </div>
      {shopping.some(({ kind }) => kind === "box") ? <p className={styles.caution}>{plansWords.mainsCaution}</p> : null}
    </div>
  );
}
