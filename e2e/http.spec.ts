import { expect, type APIResponse } from "@playwright/test";
import { importDemo, test } from "./support";

async function expectProblem(response: APIResponse, status: number, detail: RegExp): Promise<void> {
  expect(response.status()).toBe(status);
  expect(response.headers()["content-type"]).toContain("application/problem+json");
  expect(await response.json()).toMatchObject({ type: "about:blank", status, detail: expect.stringMatching(detail) as unknown });
}
const rename = (name: string) => ({ kind: "edit-job", fields: { name } });

test("health answers from the database itself", async ({ request }) => {
  expect(await (await request.get("/api/health")).json()).toMatchObject({ status: "ok", journalMode: "wal" });
});

test("scripts come compressed as the browser asks for them, and are the same for one that asks for nothing", async ({ request }) => {
  const page = await (await request.get("/")).text();
  const script = /\/_next\/static\/chunks\/[^"]+?\.js/.exec(page)?.[0] ?? "";
  const asked = async (encoding: string) => {
    const response = await request.get(script, { headers: { "Accept-Encoding": encoding } });
    expect(response.headers()["vary"]).toMatch(/accept-encoding/i);
    expect(response.headers()["cache-control"]).toContain("immutable");
    return {
      sent: response.headers()["content-encoding"],
      length: Number(response.headers()["content-length"]),
      text: await response.text(),
    };
  };
  const [best, other, plain] = [await asked("br, gzip"), await asked("gzip"), await asked("identity")];
  expect([best.sent, other.sent, plain.sent]).toEqual(["br", "gzip", undefined]);
  expect(best.length).toBeLessThan(other.length);
  expect(other.length).toBeLessThan(plain.length);
  expect([best.text, other.text]).toEqual([plain.text, plain.text]);
  expect((await request.get("/_next/static/../server/middleware.js")).status()).toBe(404);
});

test("the board over HTTP is that of the command line", async ({ request }) => {
  const id = await importDemo(request, "flat-4b");
  const { arrivals } = (await (await request.get(`/api/jobs/${id}/arrivals`)).json()) as {
    arrivals: { verdict: string; losses: { code: string }[] }[];
  };
  expect(arrivals.map(({ verdict, losses }) => [verdict, losses[0]?.code])).toEqual(arrivals.map(() => ["silent", "no-return-socket"]));
});

test("a save names its revision; a stale one gets 409 with the current document", async ({ request }) => {
  const id = await importDemo(request, "sail-loft");
  const first = await request.put(`/api/jobs/${id}`, { data: { revision: 1, commands: [rename("Loft A")] } });
  expect(await first.json()).toMatchObject({ id, revision: 2 });
  const late = await request.put(`/api/jobs/${id}`, { data: { revision: 1, commands: [rename("Loft B")] } });
  await expectProblem(late, 409, /revision 2/);
  expect(await late.json()).toMatchObject({ current: { revision: 2, document: { name: "Loft A" } } });
});

test("problems are told as problem documents with one clear sentence", async ({ request }) => {
  const id = await importDemo(request, "sail-loft");
  await expectProblem(await request.get("/api/jobs/00000000-0000-4000-8000-000000000000"), 404, /not in the docket/);
  await expectProblem(
    await request.put(`/api/jobs/${id}`, { data: "not json", headers: { "Content-Type": "text/plain" } }),
    400,
    /not JSON/,
  );
  await expectProblem(await request.put(`/api/jobs/${id}`, { data: { revision: 1, commands: [{ kind: "sing" }] } }), 400, /./);
  await expectProblem(
    await request.put(`/api/jobs/${id}`, { data: { revision: 1, commands: [{ kind: "unplug", cable: "none" }] } }),
    422,
    /There is no cable “none”/,
  );
  await expectProblem(
    await request.post("/api/jobs/import", { data: '{"format":"octachord-job","version":7,"name":"x"}' }),
    422,
    /version 7/,
  );
  await expectProblem(await request.post("/api/jobs/import", { data: Buffer.alloc(11 * 1024 * 1024, 32) }), 413, /11\.0.MB/);
  await expectProblem(await request.get("/api/jobs?page=zero"), 400, /page/);
  await expectProblem(await request.get(`/api/jobs/${id}/arrivals?as=wished`), 400, /found, planned or left/);
});

test("pages of elsewhere can neither write here nor reach the server under another name", async ({ request }) => {
  await expectProblem(
    await request.post("/api/jobs", { data: { name: "x" }, headers: { Origin: "http://elsewhere.example" } }),
    403,
    /own pages/,
  );
  await expectProblem(
    await request.post("/api/jobs", { data: { name: "x" }, headers: { "Sec-Fetch-Site": "cross-site" } }),
    403,
    /own pages/,
  );
  await expectProblem(await request.get("/api/health", { headers: { Host: "elsewhere.example" } }), 421, /127\.0\.0\.1/);
});

test("pages carry a strict content policy and ask nothing of third parties", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  const hosts = new Set<string>();
  page.on("request", (one) => hosts.add(new URL(one.url()).host || "inline"));
  const response = await page.goto(`/jobs/${id}/patch`);
  await expect(page.locator("[data-socket]").first()).toBeVisible();
  const policy = response?.headers()["content-security-policy"] ?? "";
  expect(policy).toContain("default-src 'self'");
  expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/);
  expect([...hosts]).toEqual([new URL(page.url()).host]);
});
