/** Browsers send so much of what a page that is closing leaves on its way, in bytes. */
const MOST_KEPT_ALIVE = 60_000;

/** A request with a body of JSON. A page that is closing still sends it, unless it is too long for that. */
export function asJson(method: "POST" | "PUT" | "PATCH", value: unknown): RequestInit {
  const body = JSON.stringify(value);
  const isShort = new Blob([body]).size < MOST_KEPT_ALIVE;
  return { method, body, headers: { "Content-Type": "application/json" }, keepalive: isShort };
}
