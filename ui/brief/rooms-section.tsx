"use client";

import { Button, InputNumber } from "antd";
import { Plus, Trash2 } from "lucide-react";
import { freeId, type Command, type Job, type Room, type Run } from "@/core/job";
import { BRIEF_USES, roomName } from "@/core/text";
import { Choice, KeptText } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import { LengthField } from "@/ui/preferences";
import styles from "./brief.module.css";
import { useBrief } from "./use-brief";
import { briefWords } from "@/ui/words";

/** Rooms and places with what is there, and where cables may run between them. */
export function RoomsSection() {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const add = () => {
    const id = freeId("room-1", new Set(job.rooms.map((room) => room.id)));
    edit({
      kind: "set-rooms",
      rooms: [
        ...job.rooms,
        { id, name: job.rooms.length ? briefWords.place(job.rooms.length + 1) : briefWords.livingRoom, seats: 0, space: null },
      ],
    });
  };
  return (
    <section aria-label={briefWords.roomsAndCables}>
      <h3>{briefWords.roomsAndPlaces}</h3>
      <ul className={styles.rooms}>
        {job.rooms.map((room) => (
          <RoomLine key={room.id} job={job} room={room} />
        ))}
      </ul>
      <Button size="small" icon={<Plus size={14} aria-hidden />} onClick={add}>
        {briefWords.aRoomOrPlace}
      </Button>
      {job.rooms.length > 1 ? <Runs job={job} /> : null}
    </section>
  );
}

function RoomLine({ job, room }: { job: Job; room: Room }) {
  const { edit } = useIntents();
  const set = (change: Partial<Room>) =>
    edit({ kind: "set-rooms", rooms: job.rooms.map((row) => (row === room ? { ...row, ...change } : row)) });
  const here = job.devices.filter((device) => device.room === room.id).map(({ id }) => id);
  const stand = (ids: readonly string[]) => {
    const moved = job.devices.filter(({ id }) => ids.includes(id) !== here.includes(id));
    edit({
      kind: "batch",
      commands: moved.map(({ id }) => ({ kind: "edit-device", device: id, fields: { room: ids.includes(id) ? room.id : null } })),
    });
  };
  return (
    <li>
      <KeptText label={briefWords.nameOfTheRoom} value={room.name} limit={80} onKeep={(name) => set({ name })} />
      <InputNumber
        aria-label={briefWords.seatsIn(room.name)}
        min={0}
        max={99}
        precision={0}
        value={room.seats}
        suffix={briefWords.seats(room.seats)}
        onChange={(seats) => set({ seats: seats ?? 0 })}
      />
      <Choice
        mode="multiple"
        label={briefWords.whatStandsIn(room.name)}
        placeholder={briefWords.whatStandsHere}
        size="small"
        maxTagCount={4}
        maxTagTextLength={12}
        value={here}
        options={job.devices.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={stand}
      />
      <Button
        type="text"
        icon={<Trash2 size={16} aria-hidden />}
        aria-label={briefWords.takeAway(room.name)}
        onClick={() => edit(takeRoomAway(job, room.id))}
      />
    </li>
  );
}

/** The room with everything that names it. */
const takeRoomAway = (job: Job, id: string): Command => ({
  kind: "batch",
  commands: [
    ...job.devices
      .filter((device) => device.room === id)
      .map((device) => ({ kind: "edit-device", device: device.id, fields: { room: null } }) as const),
    { kind: "edit-brief", fields: { runs: job.brief.runs.filter(({ between }) => !between.includes(id)) } },
    { kind: "set-rooms", rooms: job.rooms.filter((room) => room.id !== id) },
  ],
});

/** Every pair of places, with whether a cable may run there and how long it must be. */
function Runs({ job }: { job: Job }) {
  const { brief, set } = useBrief();
  const pairs = job.rooms.flatMap((a, index) => job.rooms.slice(index + 1).map((b) => [a.id, b.id] as const));
  const keep = (pair: readonly [string, string], change: Partial<Run>) => {
    const known = runOf(brief.runs, pair);
    const id = known?.id ?? freeId("run-1", new Set(brief.runs.map((run) => run.id)));
    const run: Run = { id, between: [...pair], allowed: true, lengthM: null, ...known, ...change };
    set({ runs: [...brief.runs.filter((row) => row !== known), run] });
  };
  return (
    <>
      <h4>{briefWords.cablesBetweenThem}</h4>
      <p className={styles.uses}>{BRIEF_USES.runs}</p>
      <ul className={styles.runs}>
        {pairs.map((pair) => {
          const run = runOf(brief.runs, pair);
          const name = briefWords.between(pair.map((room) => roomName(job, room)));
          return (
            <li key={name}>
              <span dir="auto" title={name}>
                {name}
              </span>
              <Choice
                label={briefWords.whetherACableMayRun(name)}
                value={!run ? "unsaid" : run.allowed ? "may" : "not"}
                options={[
                  { value: "unsaid", label: briefWords.nothingSaid },
                  { value: "may", label: briefWords.aCableMayRun },
                  { value: "not", label: briefWords.noCableThere },
                ]}
                onChange={(value) =>
                  value === "unsaid" ? set({ runs: brief.runs.filter((row) => row !== run) }) : keep(pair, { allowed: value === "may" })
                }
              />
              {run?.allowed ? (
                <LengthField
                  label={briefWords.lengthOfACableFrom(name)}
                  value={run.lengthM}
                  placeholder={briefWords.howLong}
                  onChange={(lengthM) => keep(pair, { lengthM })}
                />
              ) : null}
            </li>
          );
        })}
      </ul>
    </>
  );
}

const runOf = (runs: readonly Run[], pair: readonly [string, string]): Run | undefined =>
  runs.find(({ between }) => pair.every((room) => between.includes(room)));
