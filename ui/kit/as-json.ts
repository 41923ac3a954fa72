/** A request with a body of JSON. */
export function asJson(method: "POST" | "PUT" | "PATCH", value: unknown) {
  return { method, body: JSON.stringify(value), headers: { "Content-Type": "application/json" } } as const;
}

/** Of all that is on its way from pages that are closing a browser sends 64 KiB at most, and refuses what is beyond. Source: Fetch, HTTP-network-or-cache fetch. */
const MOST_KEPT_ALIVE = 60_000;

/** The same, sent even where its page is closing just then, unless it is too long for that. Only for what is tried again where it fails. */
export const outlivingItsPage = <Request extends { readonly body: string }>(request: Request) => ({
  ...request,
  keepalive: new Blob([request.body]).size < MOST_KEPT_ALIVE,
});
