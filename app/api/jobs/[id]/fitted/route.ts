import { stockName } from "@/core/text";
import { database, fitParts } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, problem } from "../../../problem";

/** The van's parts of this job were fitted: they leave the list, and stand in the job as there. */
export const POST = answer<{ id: string }>(async (_request, { id }) => {
  const fitted = await fitParts(await database(), id);
  if (fitted.ok) return Response.json(fitted.value);
  if (fitted.refusal.code === "no-such-job") return noSuchJob();
  const names = fitted.refusal.needs.map(({ what }) => stockName(what)).join("; ");
  return problem({
    status: 422,
    title: "Not in the van",
    detail: `The van does not have: ${names}. Nothing was taken out; count again or buy them first.`,
  });
});
