import { database, importOwnDevices } from "@/server";
import { answer, bodyText } from "../../answer";
import { troubledDocument } from "../../problem";

/** Takes in the devices of a shelf file, all or none, beside those that are there. */
export const POST = answer(async (request) => {
  const imported = await importOwnDevices(await database(), await bodyText(request));
  return imported.ok ? Response.json({ devices: imported.value }, { status: 201 }) : troubledDocument("Not a shelf file", imported.refusal);
});
