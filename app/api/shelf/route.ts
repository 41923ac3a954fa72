import { Device, SHELF } from "@/core/device";
import { database, keepOwnDevice, ownDevices } from "@/server";
import { answer, bodyAs } from "../answer";
import { notTogether } from "./not-together";

export const GET = answer(async () => {
  const archetypes = SHELF.map(({ archetype, name, role, summary }) => ({ archetype, name, role, summary }));
  return Response.json({ archetypes, ...(await ownDevices(await database())) });
});

export const POST = answer(async (request) => {
  const kept = await keepOwnDevice(await database(), await bodyAs(request, Device));
  if (kept.ok) return Response.json({ id: kept.value.id }, { status: 201, headers: { Location: `/api/shelf/${kept.value.id}` } });
  return notTogether(kept.refusal);
});
