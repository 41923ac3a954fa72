import { expose } from "comlink";
import type { Job } from "@/core/job";
import { bassSpots, type BassSpot, gridFor, proposePlaces, sceneOf, type Proposal, type RoomScene } from "@/core/room";

const MOST_SPOTS = 3;

const proposed = (scene: RoomScene) => proposePlaces(scene, { gridM: gridFor(scene.space) });

const api = {
  /** Places for every unit of a room; null where its walls or main seat are not measured. */
  propose(job: Job, room: string): readonly Proposal[] | null {
    const found = job.rooms.find(({ id }) => id === room);
    return found ? proposed(sceneOf(job, found)) : null;
  },
  /** The most even places for the subwoofer of a room. */
  bassSpots(job: Job, room: string): readonly BassSpot[] {
    const found = job.rooms.find(({ id }) => id === room);
    return found ? bassSpots(sceneOf(job, found), MOST_SPOTS) : [];
  },
};
export type RoomWorker = typeof api;

expose(api);
