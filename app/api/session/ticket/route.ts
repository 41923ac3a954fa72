import { accessOfServer, ownAddresses } from "@/server";
import { answer } from "../../answer";

/** The way in for a phone beside this browser: where this server is reached on the local network, and a ticket that opens it once. */
export const POST = answer(async (request) => {
  const { headers } = request;
  const port = /:(\d+)$/.exec(headers.get("host") ?? "")?.[1] ?? "";
  const addresses = ownAddresses(process.env.OCTACHORD_HOST, { scheme: headers.get("x-forwarded-proto") ?? "http", port });
  const issued = addresses.length ? (accessOfServer()?.issueTicket() ?? null) : null;
  return Promise.resolve(
    Response.json(
      { addresses, ticket: issued?.ticket ?? null, seconds: issued?.seconds ?? null },
      { headers: { "Cache-Control": "no-store" } },
    ),
  );
});
