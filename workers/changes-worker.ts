import { expose } from "comlink";
import { liftingChanges, smallestChanges } from "@/core/plan";

const api = { liftingChanges, smallestChanges };
export type ChangesWorker = typeof api;

expose(api);
