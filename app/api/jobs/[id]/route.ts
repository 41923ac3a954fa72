import { refusalSentence } from "@/core/text";
import { unreachable } from "@/core/outcome";
import { binJob, database, findJob, saveJob, SaveRequest, type SaveRefusal, type StoredJob } from "@/server";
import { answer, bodyAs } from "../../answer";
import { noSuchJob, problem, troubledDocument } from "../../problem";

type Params = { id: string };
const envelope = ({ id, revision, updatedAt, job }: StoredJob) => ({ id, revision, updatedAt, document: job });

export const GET = answer<Params>(async (_request, { id }) => {
  const found = await findJob(await database(), id);
  return found ? Response.json(envelope(found)) : noSuchJob();
});

export const PUT = answer<Params>(async (request, { id }) => {
  const saved = await saveJob(await database(), id, await bodyAs(request, SaveRequest));
  if (!saved.ok) return refusal(saved.refusal);
  const { revision, updatedAt } = saved.value;
  return Response.json({ id, revision, updatedAt });
});

export const DELETE = answer<Params>(async (_request, { id }) =>
  (await binJob(await database(), id)) ? new Response(null, { status: 204 }) : noSuchJob(),
);

function refusal(why: SaveRefusal): Response {
  switch (why.code) {
    case "no-such-job":
      return noSuchJob();
    case "save-id-taken":
      return problem({
        status: 422,
        title: "Not possible",
        detail: "This saveId was used for another job; each save needs a new one.",
      });
    case "stale":
      return problem({
        status: 409,
        title: "Changed in the meantime",
        detail: `The job is now at revision ${why.current.revision}; apply the edits again on top of it.`,
        current: envelope(why.current),
      });
    case "edit-refused":
      return problem({ status: 422, title: "Not possible", detail: refusalSentence(why.job, why.refusal), refusal: why.refusal });
    case "document-refused":
      return troubledDocument("Not a job document", why.troubles);
    default:
      return unreachable(why);
  }
}
