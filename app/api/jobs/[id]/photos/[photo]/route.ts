import { database, findPhoto } from "@/server";
import { answer } from "../../../../answer";
import { problem } from "../../../../problem";

export const GET = answer<{ id: string; photo: string }>(async (_request, { id, photo }) => {
  const found = await findPhoto(await database(), id, photo);
  if (!found) return problem({ status: 404, title: "No such photo", detail: "This job has no such photo." });
  return new Response(Buffer.from(found.bytes), {
    headers: {
      "Content-Type": found.type,
      "X-Content-Type-Options": "nosniff",
      "Cross-Origin-Resource-Policy": "same-origin",
      "Cache-Control": "private, max-age=31536000, immutable",
    },
  });
});
