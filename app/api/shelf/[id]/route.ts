import { database, dropOwnDevice } from "@/server";
import { answer } from "../../answer";
import { problem } from "../../problem";

export const DELETE = answer<{ id: string }>(async (_request, { id }) =>
  (await dropOwnDevice(await database(), id))
    ? new Response(null, { status: 204 })
    : problem({ status: 404, title: "Not there", detail: "This device is not on the shelf." }),
);
