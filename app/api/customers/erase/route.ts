import { z } from "zod";
import { database, eraseCustomer } from "@/server";
import { answer, bodyAs } from "../../answer";
import { problem } from "../../problem";

const Customer = z.strictObject({ customer: z.string().min(1).max(300) });

/** Erases every job of a customer for good; the answer says what went. */
export const POST = answer(async (request) => {
  const { customer } = await bodyAs(request, Customer);
  const erased = await eraseCustomer(await database(), customer);
  return erased.length > 0
    ? Response.json({ erased })
    : problem({ status: 404, title: "No such customer", detail: "No job has this customer." });
});
