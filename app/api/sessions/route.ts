import { accessOfServer, cookieHeader } from "@/server";
import { answer } from "../answer";

/** Signs every browser out, this one too. */
export const DELETE = answer(async () => {
  await accessOfServer()?.signOutEverywhere();
  return new Response(null, { status: 204, headers: { "Set-Cookie": cookieHeader(null) } });
});
