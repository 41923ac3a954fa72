import { database, restoreJob } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob } from "../../../problem";

export const POST = answer<{ id: string }>(async (_request, { id }) =>
  (await restoreJob(await database(), id)) ? new Response(null, { status: 204 }) : noSuchJob(),
);
