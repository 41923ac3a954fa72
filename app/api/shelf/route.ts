import { Device, SHELF } from "@/core/device";
import { formatPlace } from "@/core/job";
import { troubleSentence } from "@/core/text";
import { database, keepOwnDevice, ownDevices } from "@/server";
import { answer, bodyAs } from "../answer";
import { problem } from "../problem";

export const GET = answer(async () => {
  const archetypes = SHELF.map(({ archetype, name, role, summary }) => ({ archetype, name, role, summary }));
  return Response.json({ archetypes, own: await ownDevices(await database()) });
});

export const POST = answer(async (request) => {
  const kept = await keepOwnDevice(await database(), await bodyAs(request, Device));
  if (kept.ok) return Response.json({ id: kept.value.id }, { status: 201, headers: { Location: `/api/shelf/${kept.value.id}` } });
  const { refusal } = kept;
  return problem({
    status: 422,
    title: "Not kept",
    detail: troubleSentence({ code: "breach", place: formatPlace(refusal.place.slice(2)), breach: refusal }),
  });
});
