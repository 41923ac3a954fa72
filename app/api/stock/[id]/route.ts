import { StockChange, StockFields } from "@/core/stock";
import { adjustStock, changeStock, database, dropStock } from "@/server";
import { answer, bodyAs } from "../../answer";
import { problem } from "../../problem";

type Params = { id: string };

const noSuchLine = () => problem({ status: 404, title: "Not there", detail: "This line is no longer on the van’s list." });
const noContent = () => new Response(null, { status: 204 });

export const PUT = answer<Params>(async (request, { id }) =>
  (await changeStock(await database(), id, await bodyAs(request, StockFields))) ? noContent() : noSuchLine(),
);

/** The count by how many more or fewer, so that two windows lose nothing of each other. */
export const PATCH = answer<Params>(async (request, { id }) =>
  (await adjustStock(await database(), id, await bodyAs(request, StockChange))) ? noContent() : noSuchLine(),
);

export const DELETE = answer<Params>(async (_request, { id }) => ((await dropStock(await database(), id)) ? noContent() : noSuchLine()));
