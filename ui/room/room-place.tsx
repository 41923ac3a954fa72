"use client";

import { Button } from "antd";
import dynamic from "next/dynamic";
import { useState } from "react";
import type { Command } from "@/core/job";
import { gridFor, spotOf, thingKey, thingOf } from "@/core/room";
import { EffectLine, Sheet, useJob } from "@/ui/job";
import { Switcher, useChosen } from "@/ui/kit";
import { roomWords } from "@/ui/words";
import { DialsView, PrintButtons } from "./dials-view";
import { NewRoom } from "./new-room";
import { PlanView } from "./plan-view";
import { ProposalList } from "./proposal-list";
import styles from "./room.module.css";
import { RoomStory } from "./room-story";
import { SideView } from "./side-view";
import { SpeakerList } from "./speaker-list";
import { ThingStory } from "./thing-story";
import { useProposals } from "./use-proposals";
import { useRoom } from "./use-room";
import { WireView } from "./wire-view";

const SoundView = dynamic(() => import("./sound-view").then((module) => module.SoundView), { ssr: false });

const VIEWS = [
  { key: "plan", name: roomWords.plan },
  { key: "dials", name: roomWords.dials },
  { key: "wire", name: roomWords.wireAndWall },
  { key: "sound", name: roomWords.sound },
] as const;

/** Where every speaker stands, what to dial, what to drill, and what the microphone heard. */
export function RoomPlace() {
  const jobId = useJob((state) => state.id);
  const [view, setView] = useChosen("view");
  const [key, setKey] = useChosen("chosen");
  const [preview, setPreview] = useState<Command | null>(null);
  const [together, setTogether] = useState(false);
  const [asked, setAsked] = useState(false);
  const hand = useRoom(preview);
  const { answer, job, room } = hand;
  const proposing = useProposals(asked ? job : null, room?.id ?? null);
  const shown = VIEWS.find((one) => one.key === view)?.key ?? "plan";
  const thing = thingOf(key);
  // A link to something that is gone, or no longer placed, leads to the room.
  const chosen = thing && answer && spotOf(answer.scene.space, thing) ? thing : null;
  if (!answer || !room || !room.space)
    return (
      <Sheet marginLabel={roomWords.theRoom} margin={null} foot={<EffectLine />}>
        <NewRoom job={job} room={room} onEdit={hand.edit} />
      </Sheet>
    );
  const proposals = proposing.work.state === "done" ? proposing.work.answer : null;
  return (
    <Sheet
      marginLabel={roomWords.chosenThing}
      margin={
        shown !== "plan" ? null : asked ? (
          <ProposalList working={proposing} room={room.id} gridM={gridFor(room.space)} onEdit={hand.edit} onLeave={() => setAsked(false)} />
        ) : chosen ? (
          <>
            <Button size="small" type="text" onClick={() => setKey(null)}>
              {roomWords.backToRoom}
            </Button>
            <ThingStory
              job={job}
              answer={answer}
              chosen={chosen}
              together={together}
              onTogether={setTogether}
              onEdit={hand.edit}
              onLeave={() => setKey(null)}
            />
          </>
        ) : (
          <RoomStory job={job} answer={answer} onEdit={hand.edit} onChoose={(one) => setKey(thingKey(one))} />
        )
      }
      foot={<EffectLine />}
    >
      <div className={shown === "plan" ? styles.drawing : styles.page}>
        <header className={styles.head}>
          <h2 className="for-ears-only">{roomWords.room}</h2>
          <Switcher label={roomWords.whatIsShown} choices={VIEWS} chosen={shown} onChoose={setView} />
          {job.rooms.length > 1 ? (
            <Switcher
              label={roomWords.whichRoom}
              choices={job.rooms.map(({ id, name }) => ({ key: id, name }))}
              chosen={room.id}
              onChoose={hand.choose}
            />
          ) : null}
          {shown === "plan" ? (
            <Button type="primary" size="small" onClick={() => setAsked(true)} disabled={!answer.scene.units.length}>
              {roomWords.propose}
            </Button>
          ) : null}
          {shown === "dials" ? <PrintButtons job={job} jobId={jobId} answer={answer} /> : null}
        </header>
        {shown === "plan" ? (
          <>
            <PlanView
              hand={hand}
              answer={answer}
              chosen={chosen}
              onChoose={(one) => setKey(one && thingKey(one))}
              onPreview={setPreview}
              together={together}
              proposals={asked ? proposals : null}
            />
            <div className={styles.aside}>
              <SpeakerList answer={answer} onChoose={(one) => setKey(thingKey(one))} />
              <SideView
                answer={answer}
                chosen={chosen}
                onChoose={(one) => setKey(one && thingKey(one))}
                onPreview={setPreview}
                onEdit={hand.edit}
              />
              <p className={styles.legend}>{roomWords.legend}</p>
            </div>
          </>
        ) : null}
        {shown === "dials" ? <DialsView job={job} answer={answer} onEdit={hand.edit} /> : null}
        {shown === "wire" ? <WireView job={job} jobId={jobId} answer={answer} /> : null}
        {shown === "sound" ? <SoundView job={job} answer={answer} onEdit={hand.edit} /> : null}
      </div>
    </Sheet>
  );
}
