import { z } from "zod";
import { PAPERS, roomPages, roomPlanSvg, type Paper, type RoomPrint } from "@/core/drawing";
import { roomAnswer } from "@/core/room";
import { roomsReport } from "@/core/report";
import { fileStem } from "@/core/text";
import { pdfOfPages } from "@/print";
import { database, findJob, preferences } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, notUnderstood, problem } from "../../../problem";

const Query = z.object({
  in: z.string().optional(),
  as: z.enum(["json", "pdf", "svg"]).default("json"),
  paper: z.enum(Object.keys(PAPERS) as [Paper, ...Paper[]]).default("a4"),
});

/** The rooms of a job as JSON; `?as=pdf` and `?as=svg`: one of them on paper, with its sheets. */
export const GET = answer<{ id: string }>(async (request, { id }) => {
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return noSuchJob();
  const { job } = found;
  const { as, paper } = query.data;
  if (as === "json") return Response.json(roomsReport(job));
  const room = job.rooms.find((one) => one.id === query.data.in) ?? job.rooms[0];
  if (!room) return problem({ status: 404, title: "No room", detail: "This job has no rooms yet." });
  const { units, firm } = await preferences(db);
  const date = new Date().toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });
  const print: RoomPrint = { job, answer: roomAnswer(job, room), units, firm: firm.name, date, paper };
  const name = `${fileStem(job.name)}-${room.id}`;
  return as === "svg"
    ? fileOf(roomPlanSvg(print), "image/svg+xml", `${name}.svg`)
    : fileOf(await pdfOfPages(roomPages(print), `${job.name}: ${room.name}`, process.cwd()), "application/pdf", `${name}.pdf`);
});

const fileOf = (content: string | Buffer, type: string, name: string): Response =>
  new Response(content as BodyInit, { headers: { "Content-Type": type, "Content-Disposition": `attachment; filename="${name}"` } });
