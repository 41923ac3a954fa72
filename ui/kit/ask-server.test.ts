import { afterEach, describe, expect, test, vi } from "vitest";
import { askServer } from "./ask-server";

const answers = (response: Response | Error) =>
  vi.stubGlobal("fetch", () => (response instanceof Error ? Promise.reject(response) : Promise.resolve(response)));
afterEach(() => vi.unstubAllGlobals());

const AWAY = "The server is not responding. Nothing was changed; try again when it is back.";

describe("what the server answers", () => {
  test("comes as it is, and an empty answer as nothing", async () => {
    answers(Response.json({ id: "a" }, { status: 201 }));
    expect(await askServer("/api/jobs", {})).toEqual({ ok: true, value: { id: "a" } });
    answers(new Response(null, { status: 204 }));
    expect(await askServer("/api/jobs/a", { method: "DELETE" })).toEqual({ ok: true, value: null });
  });

  test("a problem is its one sentence", async () => {
    answers(Response.json({ type: "about:blank", status: 422, detail: "There is no cable “none” in this job." }, { status: 422 }));
    expect(await askServer("/api/jobs/a", {})).toEqual({ ok: false, refusal: "There is no cable “none” in this job." });
  });

  test.each([
    ["no network", new TypeError("Failed to fetch")],
    ["a page of something in between", new Response("<html>Bad gateway</html>", { status: 502 })],
    ["a problem without a sentence", Response.json({ status: 500 }, { status: 500 })],
  ])("%s is told as a server that is away, never as a page's own failure", async (_, response) => {
    answers(response);
    expect(await askServer("/api/jobs", {})).toEqual({ ok: false, refusal: AWAY });
  });
});
