import { expose } from "comlink";
import { smallestChanges, weighedChanges } from "@/core/plan";

const api = { weighedChanges, smallestChanges };
export type ChangesWorker = typeof api;

expose(api);
