import { expose } from "comlink";
import type { Job } from "@/core/job";
import { proposePlaces, sceneOf, type Proposal } from "@/core/room";

const api = {
  /** Places for every unit of a room; null where its walls or main seat are not measured. */
  propose(job: Job, room: string, gridM: number): readonly Proposal[] | null {
    const found = job.rooms.find(({ id }) => id === room);
    return found ? proposePlaces(sceneOf(job, found), { gridM }) : null;
  },
};
export type RoomWorker = typeof api;

expose(api);
