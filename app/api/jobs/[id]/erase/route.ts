import { database, eraseJob } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, problem } from "../../../problem";

/** Erases a job that is in the bin for good; the answer says what went. */
export const POST = answer<{ id: string }>(async (_request, { id }) => {
  const erased = await eraseJob(await database(), id);
  if (erased.ok) return Response.json({ erased: [erased.value] });
  return erased.refusal.code === "no-such-job"
    ? noSuchJob()
    : problem({ status: 409, title: "Not in the bin", detail: "Only a job in the bin can be erased; put it there first." });
});
