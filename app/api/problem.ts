/** A problem as RFC 9457 describes it. `detail` is a sentence for a person. */
export interface Problem {
  readonly status: number;
  readonly title: string;
  readonly detail: string;
  readonly [extension: string]: unknown;
}

export const problem = (body: Problem): Response =>
  Response.json({ type: "about:blank", ...body }, { status: body.status, headers: { "Content-Type": "application/problem+json" } });

export const noSuchJob = (): Response =>
  problem({ status: 404, title: "No such job", detail: "This job is not in the docket; it may lie in the bin." });
