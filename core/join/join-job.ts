import { fromShelfOrThrow } from "@/core/device";
import { emptyJob, type Job } from "@/core/job";
import { PLAYER_ANSWERS, SCREEN_ANSWERS, SOUND_ANSWERS, type JoinAnswers } from "./questions";

/** What a cable through the house usually needs, in metres. */
const FAR_M = 12;

/**
 * The answers as a job that can be planned, kept and worked on: devices of the shelf, and a brief that says where cables run.
 * @param name what the job is called
 * @param names what each device is called, by its answer
 */
export function joinJob(name: string, { screen, sound, players, way, matters }: JoinAnswers, names: Readonly<Record<string, string>>): Job {
  const job = emptyJob(name);
  const named = (answer: string, archetype: string, room: string) => ({
    ...fromShelfOrThrow(archetype, { id: answer, ...(names[answer] ? { name: names[answer] } : {}) }),
    room: way === "beside" ? null : room,
  });
  return {
    ...job,
    ...(way === "beside"
      ? {}
      : {
          rooms: [
            { id: "screen", name: "at the screen", seats: 0, space: null },
            { id: "sound", name: "at the sound system", seats: 0, space: null },
          ],
        }),
    brief: {
      ...job.brief,
      weighing: matters,
      runs: way === "beside" ? [] : [{ id: "screen-sound", between: ["screen", "sound"], lengthM: FAR_M, allowed: way === "far" }],
    },
    devices: [
      named(screen, SCREEN_ANSWERS[screen], "screen"),
      named(sound, SOUND_ANSWERS[sound], "sound"),
      ...players.map((player) => named(player, PLAYER_ANSWERS[player], "screen")),
    ],
  };
}
