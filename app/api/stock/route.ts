import { StockFields } from "@/core/stock";
import { addStock, database, jobParts, stockLines } from "@/server";
import { answer, bodyAs } from "../answer";

/** The van's list, and what of it is set aside for which job. */
export const GET = answer(async () => {
  const db = await database();
  return Response.json({ ...(await stockLines(db)), jobs: await jobParts(db) });
});

export const POST = answer(async (request) => {
  const { id } = await addStock(await database(), await bodyAs(request, StockFields));
  return Response.json({ id }, { status: 201, headers: { Location: `/api/stock/${id}` } });
});
