import { z } from "zod";
import { signInSentence } from "@/core/text";
import { accessOfServer, cookieHeader, cookieOf } from "@/server";
import { answer, bodyAs } from "../answer";
import { problem } from "../problem";

const SignIn = z.union([z.strictObject({ passphrase: z.string().max(1000) }), z.strictObject({ ticket: z.string().min(1).max(100) })]);

const noPassphrase = () =>
  problem({ status: 409, title: "No passphrase", detail: "No passphrase is set for this Octachord; no sign-in is needed." });

/** Signs in: the answer carries the cookie of a session. */
export const POST = answer(async (request) => {
  const given = await bodyAs(request, SignIn);
  const access = accessOfServer();
  if (!access) return noPassphrase();
  // The listener notes it; nobody names an address of his own.
  const address = request.headers.get("x-forwarded-for") ?? "unknown";
  const caller = { address, agent: request.headers.get("user-agent") ?? "" };
  const cookie = "ticket" in given ? await access.signInByTicket(given.ticket, caller) : await access.signIn(given.passphrase, caller);
  if (cookie.ok) return new Response(null, { status: 204, headers: { "Set-Cookie": cookieHeader(cookie.value) } });
  const detail = signInSentence(cookie.refusal);
  if (cookie.refusal.code !== "wait")
    return problem({ status: 401, title: cookie.refusal.code === "wrong" ? "Wrong passphrase" : "No such ticket", detail });
  const { seconds } = cookie.refusal;
  const told = problem({ status: 429, title: "Too many tries", detail, seconds });
  told.headers.set("Retry-After", String(seconds));
  return told;
});

/** Signs this browser out. */
export const DELETE = answer(async (request) => {
  const access = accessOfServer();
  const session = access?.sessionOf(cookieOf(request.headers.get("cookie")));
  if (access && session) await access.signOut(session.id);
  return new Response(null, { status: 204, headers: { "Set-Cookie": cookieHeader(null) } });
});
