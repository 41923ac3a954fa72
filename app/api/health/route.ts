import { database, healthOf } from "@/server";
import { answer } from "../answer";

export const GET = answer(async () => Response.json(await healthOf(await database())));
