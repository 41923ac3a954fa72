"use client";

import Link from "next/link";
import { useMemo } from "react";
import { householdOf, judgeAll, eventOf } from "@/core/cec";
import type { VisitEntry } from "@/core/job";
import { checkState, proofChecks, toCount, type ProofCheck } from "@/core/proof";
import { screenOf } from "@/core/text";
import { lastEntries } from "@/core/visit";
import { EffectLine, Sheet, useIntents, useJob } from "@/ui/job";
import { EmptyPlace, Switcher, useChosen } from "@/ui/kit";
import { visitWords } from "@/ui/words";
import { CheckCard } from "./check-card";
import { CheckLine } from "./check-line";
import { Explanations } from "./explanations";
import { observationsSeen } from "./observations-seen";
import { useVisit } from "./use-visit";
import styles from "./prove.module.css";

const KINDS = [
  { key: "row", name: visitWords.kinds.row },
  { key: "act", name: visitWords.kinds.act },
  { key: "speaker", name: visitWords.kinds.speaker },
] as const;

/** The proof: each content, act and speaker with what should be seen, a tick as predicted, or what was seen instead. */
export function ProvePlace() {
  const id = useJob((state) => state.id);
  const job = useJob((state) => state.job);
  const rows = useJob((state) => state.board);
  const { edit } = useIntents();
  const [wantedKind, setKind] = useChosen("kind");
  const [wanted, choose] = useChosen("check");
  const { record, isKnown, enter } = useVisit(id);
  const household = useMemo(() => householdOf(job, "planned"), [job]);
  const checks = useMemo(() => proofChecks(job, household, rows), [job, household, rows]);
  const judged = useMemo(() => new Map(judgeAll(household).map((one) => [eventOf(one.act), one])), [household]);
  const last = useMemo(() => lastEntries(record.entries), [record]);
  const observations = useMemo(() => observationsSeen(checks, last), [checks, last]);
  const kind = KINDS.find(({ key }) => key === wantedKind)?.key ?? "row";
  const shown = checks.filter(({ check }) => check === kind);
  const stateOf = (check: ProofCheck) => checkState(toCount(check), last.get(check.id));
  const current = shown.find((check) => check.id === wanted) ?? shown.find((check) => stateOf(check) === "open") ?? null;
  const count = (state: ReturnType<typeof stateOf>) => checks.filter((check) => stateOf(check) === state).length;
  const screen = screenOf(household);
  const take = (check: ProofCheck) => (entered: Omit<Parameters<typeof enter>[0], "step">) => {
    enter({ ...entered, step: check.id });
    choose(null);
  };
  if (checks.length === 0)
    return (
      <Sheet margin={null} marginLabel="" foot={<EffectLine />}>
        <EmptyPlace heading={visitWords.nothingToProve} words={visitWords.nothingToProveWords} />
      </Sheet>
    );
  return (
    <Sheet margin={null} marginLabel="" foot={<EffectLine />}>
      <div className={styles.prove}>
        <header>
          <h2 className="for-ears-only">{visitWords.prove}</h2>
          <Switcher label={visitWords.checks} choices={KINDS} chosen={kind} onChoose={setKind} />
          <p role="status" className={styles.quiet}>
            {isKnown ? (
              <>
                {visitWords.proven(count("proven"), checks.length)} {count("otherwise") ? visitWords.otherwise(count("otherwise")) : ""}{" "}
                {record.unsent.length ? visitWords.unsent(record.unsent.length) : ""}
              </>
            ) : (
              visitWords.readingRecord
            )}
          </p>
          <Link href="/needle">{visitWords.needle}</Link>
        </header>
        <div className={styles.card}>
          {current && isKnown ? (
            <CheckCard
              key={`${current.id} ${last.get(current.id)?.id ?? ""}`}
              job={job}
              jobId={id}
              check={current}
              household={household}
              judged={current.check === "act" ? (judged.get(current.event) ?? null) : null}
              screen={screen}
              entry={last.get(current.id)}
              onEnter={take(current)}
            />
          ) : isKnown ? (
            <p>{visitWords.allProven}</p>
          ) : null}
        </div>
        <div className={styles.why}>
          <Explanations job={job} observations={observations} onEdit={edit} />
        </div>
        <ul className={styles.list} aria-label={visitWords.checks}>
          {(isKnown ? shown : []).map((check) => (
            <CheckLine
              key={check.id}
              job={job}
              check={check}
              screen={screen}
              entry={last.get(check.id)}
              isCurrent={check.id === current?.id}
              onChoose={() => choose(check.id)}
              onTick={() => take(check)(TICKED)}
            />
          ))}
        </ul>
      </div>
    </Sheet>
  );
}

const TICKED: Pick<VisitEntry, "state" | "sees"> = { state: "done", sees: "as-predicted" };
