import { MAX_PACKED_BYTES } from "@/core/job";
import { troubleSentence, zipSentence } from "@/core/text";
import { bringIn, database, packEverything } from "@/server";
import { answer, bodyBytes } from "../answer";
import { problem } from "../problem";
import { sendZip } from "../send-file";

/** Everything as one package of open files. */
export const GET = answer(async () => sendZip(await packEverything(await database())));

/** Takes such a package in, beside what is there. */
export const POST = answer(async (request) => {
  const brought = await bringIn(await database(), await bodyBytes(request, MAX_PACKED_BYTES));
  if (brought.ok) {
    const { refused, ...came } = brought.value;
    const left = refused.map(({ file, troubles }) => ({ file, detail: troubles[0] ? troubleSentence(troubles[0]) : "" }));
    return Response.json({ ...came, refused: left }, { status: 201 });
  }
  return problem({
    status: 422,
    title: "Not a package",
    detail:
      brought.refusal.code === "zip"
        ? zipSentence(brought.refusal.zip)
        : "This package holds no job, no shelf, no van’s list and no settings.",
  });
});
