import { z } from "zod";
import { arrivalsOf } from "@/core/chain";
import { weighedChanges } from "@/core/plan";
import { arrivalsReport } from "@/core/report";
import { database, findJob } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, problem } from "../../../problem";

const State = z.enum(["found", "planned", "left"]).default("planned");

export const GET = answer<{ id: string }>(async (request, { id }) => {
  const state = State.safeParse(new URL(request.url).searchParams.get("as") ?? undefined);
  if (!state.success) return problem({ status: 400, title: "Not understood", detail: "as: expected found, planned or left." });
  const found = await findJob(await database(), id);
  if (!found) return noSuchJob();
  return Response.json(arrivalsReport(found.job, arrivalsOf(found.job, state.data), weighedChanges(found.job, state.data)));
});
