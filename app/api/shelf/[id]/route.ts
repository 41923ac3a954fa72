import { Device } from "@/core/device";
import { changeOwnDevice, database, dropOwnDevice } from "@/server";
import { answer, bodyAs } from "../../answer";
import { problem } from "../../problem";
import { notTogether } from "../not-together";

const notThere = () => problem({ status: 404, title: "Not there", detail: "This device is not on the shelf." });

export const PUT = answer<{ id: string }>(async (request, { id }) => {
  const changed = await changeOwnDevice(await database(), id, await bodyAs(request, Device));
  if (!changed) return notThere();
  return changed.ok ? new Response(null, { status: 204 }) : notTogether(changed.refusal);
});

export const DELETE = answer<{ id: string }>(async (_request, { id }) =>
  (await dropOwnDevice(await database(), id)) ? new Response(null, { status: 204 }) : notThere(),
);
