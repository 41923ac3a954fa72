import { database, figuresOf } from "@/server";
import { answer } from "../answer";

/** The firm's own figures, counted from its jobs and their records. */
export const GET = answer(async () => Response.json(await figuresOf(await database())));
