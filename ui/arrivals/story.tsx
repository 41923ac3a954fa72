"use client";

import { Button } from "antd";
import dynamic from "next/dynamic";
import { useMemo, useState } from "react";
import { whileItPlays, type Arrival } from "@/core/chain";
import {
  cautionSentence,
  changeWords,
  deviceName,
  meanwhileSentences,
  movedWords,
  pictureLossSentence,
  pictureWords,
  reasonRemedy,
  reasonSentence,
  rowText,
  rowWords,
  screenSpeakersSentence,
  storyWords,
  unknownWords,
  volumeSentence,
} from "@/core/text";
import { copyText, useChosen, WorkNote } from "@/ui/kit";
import { useIntents, useJob, type Changes } from "@/ui/job";
import { HopList } from "./hop-list";
import { LipSyncScale } from "./lip-sync-scale";
import styles from "./story.module.css";
import { arrivalsWords, kitWords } from "@/ui/words";

const MOST_CURES = 4;

/** The story of the chosen row: what could play, where it is lost, what would change it, what the picture does. */
export function Story({ arrival, changes }: { arrival: Arrival; changes: Changes }) {
  const job = useJob((state) => state.job);
  const losses = arrival.losses.filter(({ scope }) => scope === "path");
  const ceilings = arrival.losses.filter((loss) => loss.scope === "ceiling");
  return (
    <div className={styles.story}>
      <div>
        <h2>
          {deviceName(job, arrival.player)}, {rowWords(arrival)}
        </h2>
        <p>{storyWords(arrival)}</p>
      </div>
      {losses.length ? (
        <section>
          <h3>{arrival.verdict === "unknown" ? arrivalsWords.whatIsNotKnown : arrivalsWords.whereItIsLost}</h3>
          <Sentences
            said={losses.map(({ reason }) =>
              reason.code === "unknown-fact" ? arrivalsWords.itDependsOn(unknownWords(job, reason.unknown)) : reasonSentence(job, reason),
            )}
          />
        </section>
      ) : null}
      <Meanwhile arrival={arrival} />
      {losses.length ? <Cures arrival={arrival} changes={changes} what="lifts" /> : null}
      {arrival.cautions.length || arrival.volume ? <Mind arrival={arrival} /> : null}
      {ceilings.length ? (
        <section>
          <h3>{arrivalsWords.moreThanTheSystemPlays}</h3>
          <Sentences said={ceilings.map(({ reason }) => reasonSentence(job, reason))} />
        </section>
      ) : null}
      {arrival.content.picture ? <PictureStory arrival={arrival} /> : null}
      {arrival.pictureLosses.length ? <Cures arrival={arrival} changes={changes} what="pictureLifts" /> : null}
      <Hops arrival={arrival} />
      <Loads key={arrival.id} arrival={arrival} />
      <CopyRow arrival={arrival} />
    </div>
  );
}

/** Sentences one below the other; what is true of two hops or devices alike is said once. */
const Sentences = ({ said }: { said: readonly string[] }) => [...new Set(said)].map((sentence) => <p key={sentence}>{sentence}</p>);

/** The hops behind a line to open; an address that names one opens it there. */
function Hops({ arrival }: { arrival: Arrival }) {
  const [wanted] = useChosen("hop");
  const marked = wanted !== null && /^\d{1,2}$/.test(wanted) ? Number(wanted) : null;
  return (
    <details className={styles.more} open={marked !== null}>
      <summary>{arrivalsWords.hopByHop}</summary>
      <HopList arrival={arrival} marked={marked} />
    </details>
  );
}

const LoadChart = dynamic(() => import("./load-chart").then((module) => module.LoadChart), { ssr: false });

/** Capacity against need; the chart is fetched only when it is opened. */
function Loads({ arrival }: { arrival: Arrival }) {
  const [open, setOpen] = useState(false);
  return (
    <details className={styles.more} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>{arrivalsWords.howFullEachLinkIs}</summary>
      {open ? <LoadChart arrival={arrival} /> : null}
    </details>
  );
}

function CopyRow({ arrival }: { arrival: Arrival }) {
  const job = useJob((state) => state.job);
  const { say } = useIntents();
  return (
    <Button
      size="small"
      onClick={() => void copyText(rowText(job, arrival)).then((isDone) => say(isDone ? arrivalsWords.rowCopied : kitWords.notCopied))}
    >
      {arrivalsWords.copyRowAsText}
    </Button>
  );
}

/** What the screen's own speakers and the other players do while this row plays. */
function Meanwhile({ arrival }: { arrival: Arrival }) {
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  const others = useMemo(() => meanwhileSentences(job, whileItPlays(job, board, arrival)), [job, board, arrival]);
  if (!arrival.screenSpeakers && others.length === 0) return null;
  return (
    <section>
      <h3>{arrivalsWords.meanwhile}</h3>
      {arrival.screenSpeakers ? <p>{screenSpeakersSentence(job, arrival)}</p> : null}
      <Sentences said={others} />
    </section>
  );
}

/** What tends to go wrong although it works now, and what moves the volume. */
function Mind({ arrival }: { arrival: Arrival }) {
  const job = useJob((state) => state.job);
  return (
    <section>
      <h3>{arrival.cautions.length ? arrivalsWords.mind : arrivalsWords.volume}</h3>
      <Sentences said={arrival.cautions.map((caution) => cautionSentence(job, caution))} />
      {arrival.volume ? <p>{volumeSentence(job, arrival.volume)}</p> : null}
    </section>
  );
}

interface CuresProps {
  readonly arrival: Arrival;
  readonly changes: Changes;
  /** Whether the sound or the picture should become better. */
  readonly what: "lifts" | "pictureLifts";
}

function Cures({ arrival, changes: { single, smallest, working }, what }: CuresProps) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const cures = single?.filter((change) => change[what].includes(arrival.id)).slice(0, MOST_CURES);
  const isInSet = smallest?.best.lifts.includes(arrival.id) ?? false;
  const remedy = arrival.losses.map(({ reason }) => reasonRemedy(job, reason)).find((text) => text !== null);
  return (
    <section>
      <h3>{what === "lifts" ? arrivalsWords.whatWouldChangeIt : arrivalsWords.whatWouldBetterThePicture}</h3>
      {cures ? null : <WorkNote working={working} words={arrivalsWords.tryingEverySingleChange} />}
      {cures?.length === 0 ? (
        <p>
          {what === "lifts" ? arrivalsWords.nothingSingleLifts : arrivalsWords.nothingSingleBetters}{" "}
          {what === "pictureLifts" ? "" : isInSet ? arrivalsWords.theSetDoes : remedy}
        </p>
      ) : null}
      <ul className={styles.cures}>
        {cures?.map((cure) => (
          <li key={changeWords(job, cure)}>
            <span>
              <b>{changeWords(job, cure)}</b>
              <span>
                <i>{movedWords(cure)}</i>
              </span>
            </span>
            <Button size="small" onClick={() => edit(cure.command)} aria-label={arrivalsWords.tryChange(changeWords(job, cure))}>
              {arrivalsWords.tryIt}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function PictureStory({ arrival }: { arrival: Arrival }) {
  const job = useJob((state) => state.job);
  return (
    <section>
      <h3>{arrivalsWords.picture}</h3>
      <p>
        {arrival.picture && arrival.screen
          ? arrivalsWords.pictureAt(pictureWords(arrival.picture), deviceName(job, arrival.screen))
          : arrivalsWords.itReachesNoScreen}
        {arrival.picture && arrival.pictureLosses.length === 0 ? arrivalsWords.nothingLost : ""}
      </p>
      <Sentences said={arrival.pictureLosses.map((loss) => pictureLossSentence(job, loss))} />
      {arrival.lipSyncMs !== null && arrival.lipSync ? <LipSyncScale lipSyncMs={arrival.lipSyncMs} judgement={arrival.lipSync} /> : null}
    </section>
  );
}
