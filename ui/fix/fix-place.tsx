"use client";

import { useMemo } from "react";
import type { Arrival } from "@/core/chain";
import type { FirmFaults } from "@/core/diagnose";
import { lastEntries } from "@/core/visit";
import { EffectLine, Sheet, useIntents, useJob } from "@/ui/job";
import { EmptyPlace } from "@/ui/kit";
import { useVisit } from "@/ui/visit";
import { fixWords } from "@/ui/words";
import { Begin } from "./begin";
import { BeforeAndAfter } from "./before-and-after";
import { CheckCard } from "./check-card";
import styles from "./fix.module.css";
import { Mended, Unexplained } from "./outcome";
import { SuspectMap } from "./suspect-map";
import { Suspects } from "./suspects";
import { useSearch } from "./use-search";
import { useWalk } from "./use-walk";
import { WalkLine } from "./walk-line";

/** The search for a fault: what is wrong, then one check at a time, with what it may be beside it. */
export function FixPlace({ firm }: { readonly firm: FirmFaults }) {
  const id = useJob((state) => state.id);
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  const { edit } = useIntents();
  const visit = useVisit(id);
  const { walk, earlier, tell, answer, answerAll, amend, back, end } = useWalk(visit);
  const last = useMemo(() => [...lastEntries(visit.record.entries).values()], [visit.record]);
  const symptoms = useMemo(() => walk?.symptoms ?? [], [walk]);
  const observed = useMemo(() => walk?.line.map(({ check, answer: seen }) => ({ check, answer: seen })) ?? [], [walk]);
  const way = useMemo(() => wayOf(board, symptoms), [board, symptoms]);
  const { room, stand, hasFailed, paste } = useSearch(job, firm, last, symptoms, observed);
  if (job.devices.length === 0)
    return (
      <Sheet margin={null} marginLabel="" foot={<EffectLine />}>
        <EmptyPlace heading={fixWords.nothingHere} words={fixWords.nothingHereWords} />
      </Sheet>
    );
  const report = stand?.ok ? stand.report : null;
  const isOver = report !== null && report.next === null;
  const told = (symptom: string) => room?.symptoms.find((one) => one.id === symptom)?.says ?? symptom;
  return (
    <Sheet margin={null} marginLabel="" foot={<EffectLine />}>
      <div className={styles.fix}>
        <header>
          <h2 className="for-ears-only">{fixWords.fix}</h2>
          {symptoms.length ? (
            <p>
              <b>{fixWords.told}:</b> {symptoms.map(told).join("; ")}
            </p>
          ) : null}
        </header>
        <div className={styles.work}>
          {hasFailed ? <p role="alert">{fixWords.failed}</p> : null}
          {!room && !hasFailed ? <p role="status">{fixWords.playing}</p> : null}
          {room && !walk ? <Begin room={room} onTold={tell} onProven={answerAll} /> : null}
          {room && walk && !stand ? <p role="status">{fixWords.choosing}</p> : null}
          {stand && !stand.ok ? <p role="alert">{stand.says}</p> : null}
          {report?.next ? (
            <CheckCard
              key={`${report.next.check} ${observed.length}`}
              next={report.next}
              expectedMinutes={report.expectedMinutes}
              onAnswer={(seen, note) => answer({ check: report.next?.check ?? "", answer: seen }, note)}
              onPaste={async (text) => {
                const check = report.next?.check ?? "";
                const read = await paste(check, text);
                if (read && "answer" in read) answer({ check, answer: read.answer });
                return read && "says" in read ? read.says : null;
              }}
              onBack={back}
              onEnd={() => end(null)}
            />
          ) : null}
          {isOver && report.cure && stand?.ok ? (
            <Mended
              report={report}
              edit={stand.edit}
              onFound={(fault) => {
                if (stand.edit) edit(stand.edit);
                end(fault);
              }}
              onGoOn={() => amend("changed-nothing")}
            />
          ) : null}
          {isOver && !report.cure ? <Unexplained onBack={back} onGiveUp={() => end(null)} /> : null}
          {walk?.line.length ? <WalkLine job={job.name} walk={walk} room={room} told={symptoms.map(told).join("; ")} /> : null}
        </div>
        <div className={styles.beside}>
          {report ? <Suspects suspects={report.suspects} /> : null}
          {report ? <SuspectMap job={job} suspects={report.suspects} way={way} /> : null}
          {room && !walk ? <BeforeAndAfter jobId={id} room={room} earlier={earlier} /> : null}
        </div>
      </div>
    </Sheet>
  );
}

/** The leads over which the sound of what is complained of should come. */
function wayOf(board: readonly Arrival[], symptoms: readonly string[]): ReadonlySet<string> {
  const about = symptoms.map((symptom) => symptom.slice(symptom.indexOf(":") + 1));
  const rows = board.filter(({ id, player }) => about.some((one) => one === "all" || one === player || one === id));
  return new Set(rows.flatMap(({ hops }) => hops.flatMap(({ cable }) => cable ?? [])));
}
