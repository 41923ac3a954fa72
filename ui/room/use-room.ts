"use client";

import { useMemo } from "react";
import { applyCommand, chosenSoundSystem, type Command, type Job, type Room } from "@/core/job";
import { roomAnswer, roomOfDevice, type RoomAnswer } from "@/core/room";
import { useIntents, useJob } from "@/ui/job";
import { useChosen } from "@/ui/kit";

export interface RoomInHand {
  readonly job: Job;
  /** Null: the job has no room yet. */
  readonly room: Room | null;
  readonly answer: RoomAnswer | null;
  readonly choose: (room: string) => void;
  readonly edit: (command: Command) => void;
}

/** The room that is looked at: the chosen one, else that of the sound system. A preview is an edit that is shown and not made. */
export function useRoom(preview: Command | null): RoomInHand {
  const stored = useJob((state) => state.job);
  const { edit } = useIntents();
  const [wanted, choose] = useChosen("in");
  const job = useMemo(() => {
    const applied = preview && applyCommand(stored, preview);
    return applied?.ok ? applied.value.job : stored;
  }, [stored, preview]);
  const system = chosenSoundSystem(job);
  const room = job.rooms.find(({ id }) => id === wanted) ?? (system && roomOfDevice(job, system)) ?? job.rooms[0] ?? null;
  const answer = useMemo(() => room && roomAnswer(job, room), [job, room]);
  return { job, room, answer, choose, edit };
}
