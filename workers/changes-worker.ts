import { expose } from "comlink";
import { liftingChanges } from "@/core/plan";

const api = { liftingChanges };
export type ChangesWorker = typeof api;

expose(api);
