"use client";

import { Button, Input } from "antd";
import { useMemo, useState } from "react";
import { solve, type Arrival } from "@/core/chain";
import { freeId, MOST_SNAPSHOTS, type Job } from "@/core/job";
import { compareBoards, isAlike, type ComparedRow } from "@/core/plan";
import { arrivalSentence, deviceName, playedWords, rowWords } from "@/core/text";
import { formatMilliseconds } from "@/core/units";
import { Choice, CordThumbnail, useChosen, VerdictMark } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import styles from "./compare.module.css";
import { ProvenCompare } from "./proven-compare";
import { arrivalsWords } from "@/ui/words";

const NOW = "now";
const FOUND = "found";
const PROVEN = "proven";

/** Two states of the job side by side, with only what differs raised. */
export function CompareView() {
  const id = useJob((state) => state.id);
  const job = useJob((state) => state.job);
  const [first, ...others] = job.snapshots;
  const [wantedLeft, setLeft] = useChosen("left");
  const [wantedRight, setRight] = useChosen("right");
  const states = [
    { value: NOW, label: arrivalsWords.asPlannedNow },
    { value: FOUND, label: arrivalsWords.settingsAsFound },
    { value: PROVEN, label: arrivalsWords.asProven },
    ...[...(first ? [first] : []), ...others].map(({ id, name }) => ({ value: id, label: arrivalsWords.kept(name) })),
  ];
  const [left, right] = [known(states, wantedLeft) ?? first?.id ?? FOUND, known(states, wantedRight) ?? NOW];
  const boards = useMemo(() => [boardOf(job, left), boardOf(job, right)] as const, [job, left, right]);
  const rows = compareBoards(boards[0].board, boards[1].board);
  const isProven = left === PROVEN || right === PROVEN;
  return (
    <div className={styles.compare}>
      <div className={styles.heads}>
        <Choice label={arrivalsWords.theStateOnTheLeft} value={left} options={states} onChange={setLeft} />
        <Choice label={arrivalsWords.theStateOnTheRight} value={right} options={states} onChange={setRight} />
      </div>
      {isProven ? (
        <ProvenCompare jobId={id} {...boards[left === PROVEN ? 1 : 0]} provenLeft={left === PROVEN} />
      ) : (
        <Compared rows={rows} jobs={[boards[0].job, boards[1].job]} />
      )}
      <KeepState />
    </div>
  );
}

/** A state that there is; null for one that is gone. */
const known = (states: readonly { readonly value: string }[], wanted: string | null): string | null =>
  states.find(({ value }) => value === wanted)?.value ?? null;

/** What differs between two states, and how much is the same. */
function Compared({ rows, jobs }: { rows: readonly ComparedRow[]; jobs: readonly [Job, Job] }) {
  const alike = rows.filter(isAlike);
  const differing = rows.filter((row) => !isAlike(row));
  return (
    <>
      {differing.length === 0 ? <p className={styles.none}>{arrivalsWords.theTwoBoardsAreAlike}</p> : null}
      <ol>
        {differing.map((row) => (
          <ComparedLine key={row.id} row={row} jobs={jobs} />
        ))}
      </ol>
      {alike.length && differing.length ? <p className={styles.none}>{arrivalsWords.alikeOnBothSides(alike.length)}</p> : null}
    </>
  );
}

function boardOf(job: Job, state: string): { readonly job: Job; readonly board: readonly Arrival[] } {
  const kept = job.snapshots.find(({ id }) => id === state);
  const then: Job = kept ? { ...job, devices: kept.devices, cables: kept.cables } : job;
  return { job: then, board: solve(then, state === FOUND ? "found" : "planned").rows };
}

function ComparedLine({ row, jobs }: { row: ComparedRow; jobs: readonly [Job, Job] }) {
  const any = row.left ?? row.right;
  if (!any) return null;
  return (
    <li className={styles.line}>
      <span className={styles.who}>
        <b dir="auto">{deviceName(row.left ? jobs[0] : jobs[1], any.player)}</b>
        <span>{rowWords(any)}</span>
        <i>{differenceWords(row)}</i>
      </span>
      <Side job={jobs[0]} arrival={row.left} />
      <Side job={jobs[1]} arrival={row.right} />
    </li>
  );
}

function differenceWords({ left, right, sound, picture }: ComparedRow): string {
  if (!left) return arrivalsWords.onlyOnTheRight;
  if (!right) return arrivalsWords.onlyOnTheLeft;
  const parts = [
    ...(sound ? [sound > 0 ? arrivalsWords.soundRightIsBetter : arrivalsWords.soundRightIsWorse] : []),
    ...(picture ? [picture > 0 ? arrivalsWords.pictureRightIsBetter : arrivalsWords.pictureRightIsWorse] : []),
  ];
  return parts.join("; ") || arrivalsWords.anotherDelay;
}

function Side({ job, arrival }: { job: Job; arrival: Arrival | null }) {
  if (!arrival) return <span className={styles.absent}>{arrivalsWords.notThere}</span>;
  return (
    <span className={styles.side}>
      <CordThumbnail arrival={arrival} label={arrivalSentence(job, arrival)} width={150} />
      <span>
        <VerdictMark row={arrival} />
        <span>
          {playedWords(arrival.plays, arrival.arrives)}
          {arrival.delayMs === null ? "" : `, ${formatMilliseconds(arrival.delayMs)}`}
        </span>
      </span>
    </span>
  );
}

/** Saves the job as it is under a name, to compare with later, and deletes saved states. */
function KeepState() {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const [name, setName] = useState("");
  const keep = () => {
    const id = freeId("state-1", new Set(job.snapshots.map((snapshot) => snapshot.id)));
    const words = name.trim() || (job.snapshots.length ? arrivalsWords.state(job.snapshots.length + 1) : arrivalsWords.asFound);
    const snapshot = { id, name: words, takenAt: new Date().toISOString(), devices: job.devices, cables: job.cables };
    if (edit({ kind: "keep-snapshot", snapshot, at: null })) setName("");
  };
  return (
    <section className={styles.keep} aria-label={arrivalsWords.keptStates}>
      <h3>{arrivalsWords.keepTheJobAsItStands}</h3>
      <p>
        <Input
          aria-label={arrivalsWords.nameOfTheKeptState}
          value={name}
          maxLength={80}
          placeholder={job.snapshots.length ? arrivalsWords.aNameForIt : arrivalsWords.asFound}
          onChange={(event) => setName(event.target.value)}
          onPressEnter={keep}
        />
        <Button onClick={keep} disabled={job.snapshots.length >= MOST_SNAPSHOTS}>
          {arrivalsWords.keepThisState}
        </Button>
      </p>
      <ul>
        {job.snapshots.map((snapshot) => (
          <li key={snapshot.id}>
            <span dir="auto">{snapshot.name}</span>
            <Button
              size="small"
              type="text"
              onClick={() => edit({ kind: "drop-snapshot", snapshot: snapshot.id })}
              aria-label={arrivalsWords.letStateGo(snapshot.name)}
            >
              {arrivalsWords.letGo}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
