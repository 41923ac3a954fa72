import { z } from "zod";
import { ask, database, findJob } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, notAnswered, problem } from "../../../problem";

const State = z.enum(["found", "planned", "left"]).default("planned");

export const GET = answer<{ id: string }>(async (request, { id }) => {
  const state = State.safeParse(new URL(request.url).searchParams.get("as") ?? undefined);
  if (!state.success) return problem({ status: 400, title: "Not understood", detail: "as: expected found, planned or left." });
  const found = await findJob(await database(), id);
  if (!found) return noSuchJob();
  const board = await ask({ ask: "arrivals", job: found.job, state: state.data });
  return board.ok ? Response.json(board.value) : notAnswered(board.refusal);
});
