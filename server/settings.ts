import { homedir } from "node:os";
import { join } from "node:path";

/** The folder that holds the database; OCTACHORD_DATA changes it. */
export const dataFolder = (): string => process.env.OCTACHORD_DATA ?? join(homedir(), ".octachord");
