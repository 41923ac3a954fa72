import { z } from "zod";
import { MAX_ATTACHMENT_BYTES } from "@/core/job";
import { unreachable } from "@/core/outcome";
import { database, keepPhoto, type AttachmentRefusal } from "@/server";
import { answer, bodyBytes } from "../../../answer";
import { noSuchJob, notUnderstood, problem } from "../../../problem";

const Query = z.object({
  id: z.uuid().nullable().default(null),
  name: z.string().min(1).max(200),
  device: z.string().max(64).nullable().default(null),
});

/** Keeps the bytes of a photo; the document names it by an edit that the page makes next. */
export const POST = answer<{ id: string }>(async (request, { id }) => {
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  // One byte more is read than is kept, so that the refusal can name the photo's own limit.
  const kept = await keepPhoto(await database(), id, {
    ...query.data,
    bytes: await bodyBytes(request, MAX_ATTACHMENT_BYTES + 1024 * 1024),
  });
  return kept.ok ? Response.json(kept.value, { status: 201 }) : refusal(kept.refusal);
});

function refusal(why: AttachmentRefusal): Response {
  switch (why.code) {
    case "no-such-job":
      return noSuchJob();
    case "photo-elsewhere":
      return problem({ status: 409, title: "Not this job", detail: "This photo belongs to another job; add it again." });
    case "not-a-photo":
      return problem({
        status: 415,
        title: "Not a photo",
        detail: "This file is not a JPEG, PNG or WebP picture, whatever its name says.",
      });
    case "heic":
      return problem({
        status: 415,
        title: "Not shown by browsers",
        detail:
          "This is a HEIC picture, which browsers do not show. Set the telephone’s camera to JPEG, or send the photo as JPEG, and add it again.",
      });
    case "photo-too-large":
      return problem({
        status: 413,
        title: "Too large",
        detail: `The photo has ${(why.bytes / 1048576).toFixed(1)}\u2009MB; up to ${why.limit / 1048576}\u2009MB are accepted. A smaller photo shows a back plate just as well.`,
      });
    default:
      return unreachable(why);
  }
}
