import { database, salvageStored } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, problem } from "../../../problem";

/** Makes a new job of what can be saved of a damaged one; the damaged one stays as it is. */
export const POST = answer<{ id: string }>(async (_request, { id }) => {
  const made = await salvageStored(await database(), id);
  if (!made.ok && made.refusal.code === "no-such-job") return noSuchJob();
  if (!made.ok)
    return problem({
      status: 422,
      title: "Nothing to save",
      detail: "Neither the document nor its log can be read; its text can still be saved as it is.",
    });
  return Response.json({ id: made.value.id }, { status: 201, headers: { Location: `/api/jobs/${made.value.id}` } });
});
