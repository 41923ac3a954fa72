import { z } from "zod";
import { Observation } from "@/core/proof";
import { ask, database, findJob } from "@/server";
import { answer, bodyAs } from "../../../answer";
import { noSuchJob, notAnswered } from "../../../problem";

const Body = z.strictObject({ observations: z.array(Observation).min(1).max(500) });

/** Which single facts of a room would explain what was seen on site. Nothing is changed. */
export const POST = answer<{ id: string }>(async (request, { id }) => {
  const { observations } = await bodyAs(request, Body);
  const found = await findJob(await database(), id);
  if (!found) return noSuchJob();
  const report = await ask({ ask: "prove", job: found.job, observations });
  return report.ok ? Response.json(report.value) : notAnswered(report.refusal);
});
