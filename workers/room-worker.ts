import { expose } from "comlink";
import type { Job } from "@/core/job";
import { gridFor, proposePlaces, sceneOf, type Proposal, type RoomScene } from "@/core/room";

const proposed = (scene: RoomScene) => proposePlaces(scene, { gridM: gridFor(scene.space) });

const api = {
  /** Places for every unit of a room; null where its walls or main seat are not measured. */
  propose(job: Job, room: string): readonly Proposal[] | null {
    const found = job.rooms.find(({ id }) => id === room);
    return found ? proposed(sceneOf(job, found)) : null;
  },
};
export type RoomWorker = typeof api;

expose(api);
