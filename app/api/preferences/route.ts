import { Preferences } from "@/core/preferences";
import { database, keepPreferences, preferences } from "@/server";
import { answer, bodyAs } from "../answer";

export const GET = answer(async () => Response.json(await preferences(await database())));

export const PUT = answer(async (request) => {
  const value = await bodyAs(request, Preferences);
  await keepPreferences(await database(), value);
  return Response.json(value);
});
