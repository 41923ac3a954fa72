import { readFileSync } from "node:fs";
import { connect } from "node:net";
import { expect, test, type APIRequestContext, type APIResponse } from "@playwright/test";
import { demoFile, importDemo } from "./support";

/** The smallest bytes that begin as a PNG does. */
const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);
const NOWHERE = "00000000-0000-4000-8000-000000000000";

const detailOf = async (response: APIResponse): Promise<string> => ((await response.json()) as { detail: string }).detail;
async function documentOf(request: APIRequestContext, id: string): Promise<{ name: string; devices: { id: string }[] }> {
  const body = (await (await request.get(`/api/jobs/${id}`)).json()) as { document: { name: string; devices: { id: string }[] } };
  return body.document;
}

test.describe("new jobs over HTTP", () => {
  test("begin from a template or as a copy; an unknown one makes none", async ({ request }) => {
    const den = await request.post("/api/jobs", { data: { name: "Den", template: "receiver-hub" } });
    expect(den.status()).toBe(201);
    const { id } = (await den.json()) as { id: string };
    expect(den.headers()["location"]).toBe(`/api/jobs/${id}`);
    const copy = (await (await request.post("/api/jobs", { data: { name: "Den, upstairs", copyOf: id } })).json()) as { id: string };
    const [first, second] = [await documentOf(request, id), await documentOf(request, copy.id)];
    expect(second.name).toBe("Den, upstairs");
    expect(second.devices).toEqual(first.devices);
    const none = await request.post("/api/jobs", { data: { name: "None", template: "no-such" } });
    expect([none.status(), await detailOf(none)]).toEqual([404, "There is no template by that name."]);
    expect((await request.post("/api/jobs", { data: { name: "None", copyOf: NOWHERE } })).status()).toBe(404);
    expect((await request.post("/api/jobs", { data: { name: " " } })).status()).toBe(400);
  });

  test("one in the bin is not in the docket, and comes back whole", async ({ request }) => {
    const name = `Binned ${Date.now()}`;
    const { id } = (await (await request.post("/api/jobs", { data: { name } })).json()) as { id: string };
    const found = async (bin: "0" | "1") => {
      const page = (await (await request.get(`/api/jobs?bin=${bin}&q=${encodeURIComponent(name)}`)).json()) as { total: number };
      return page.total;
    };
    expect((await request.delete(`/api/jobs/${id}`)).status()).toBe(204);
    expect([await found("0"), await found("1")]).toEqual([0, 1]);
    expect((await request.post(`/api/jobs/${id}/restore`)).status()).toBe(204);
    expect([await found("0"), await found("1")]).toEqual([1, 0]);
  });
});

test.describe("photos over HTTP", () => {
  test("are told by their bytes, and are sent as what they are", async ({ request }) => {
    const id = await importDemo(request, "sail-loft");
    const kept = await request.post(`/api/jobs/${id}/photos?name=back.png&device=bar`, { data: PNG });
    expect(kept.status()).toBe(201);
    const photo = (await kept.json()) as { id: string; type: string; bytes: number };
    expect(photo).toMatchObject({ type: "image/png", bytes: PNG.length });
    const sent = await request.get(`/api/jobs/${id}/photos/${photo.id}`);
    expect(sent.headers()).toMatchObject({ "content-type": "image/png", "x-content-type-options": "nosniff" });
    expect(await sent.body()).toEqual(PNG);
  });

  test("a page under a picture's name, a picture too large and a job that is not there are refused with the reason", async ({
    request,
  }) => {
    const id = await importDemo(request, "sail-loft");
    const page = await request.post(`/api/jobs/${id}/photos?name=back.png`, { data: Buffer.from("<script>alert(1)</script>") });
    expect(page.status()).toBe(415);
    expect(await detailOf(page)).toContain("whatever its name says");
    const large = await request.post(`/api/jobs/${id}/photos?name=back.png`, {
      data: Buffer.concat([PNG, Buffer.alloc(8 * 1024 * 1024 + 10)]),
    });
    expect(large.status()).toBe(413);
    expect((await request.post(`/api/jobs/${NOWHERE}/photos?name=back.png`, { data: PNG })).status()).toBe(404);
    expect((await request.post(`/api/jobs/${id}/photos`, { data: PNG })).status()).toBe(400);
    expect((await request.get(`/api/jobs/${id}/photos/${NOWHERE}`)).status()).toBe(404);
  });
});

test("a job leaves as a file or as a packed one, under a name that every system takes, and comes in again from both", async ({
  request,
}) => {
  const id = await importDemo(request, "sail-loft");
  const whole = (await (await request.get(`/api/jobs/${id}`)).json()) as { document: unknown };
  for (const [query, type, ending] of [
    ["", "application/json", "json"],
    ["?photos=1", "application/zip", "zip"],
  ] as const) {
    const file = await request.get(`/api/jobs/${id}/export${query}`);
    expect(file.headers()["content-type"]).toBe(type);
    expect(file.headers()["content-disposition"]).toMatch(new RegExp(`filename="[a-z0-9-]+\\.octachord\\.${ending}"`));
    const again = await request.post("/api/jobs/import", { data: await file.body() });
    expect(again.status()).toBe(201);
    expect(await documentOf(request, ((await again.json()) as { id: string }).id)).toEqual(whole.document);
  }
});

test("what is no question at all is a problem with a sentence too", async ({ baseURL }) => {
  const { port, hostname } = new URL(baseURL ?? "");
  // By hand: no library sends such requests.
  const answerTo = (method: string, path: string) =>
    new Promise<string>((resolve, reject) => {
      const socket = connect({ port: Number(port), host: hostname }, () =>
        socket.end(`${method} ${path} HTTP/1.1\r\nHost: ${hostname}:${port}\r\nConnection: close\r\n\r\n`),
      );
      let text = "";
      socket.on("data", (chunk) => (text += chunk.toString()));
      socket.on("end", () => resolve(text)).on("error", reject);
    });
  for (const [method, path, status] of [
    ["TRACE", "/api/jobs", 405],
    ["PROPFIND", "/", 405],
    ["GET", "/api/jobs/%ff", 400],
    ["GET", "/jobs/%ff/gear", 400],
    ["GET", "/api/jobs/%00", 400],
    ["GET", "/api/nothing", 404],
    ["GET", "/api/jobs?page=99999999999", 400],
  ] as const) {
    const answer = await answerTo(method, path);
    expect(answer, `${method} ${path}`).toMatch(
      new RegExp(`^HTTP/1.1 ${status} [\\s\\S]*application/problem\\+json[\\s\\S]*"detail":"[A-Z]`, "i"),
    );
  }
});

test("a sound job has no damaged text to fetch and nothing to save", async ({ request }) => {
  const id = await importDemo(request, "flat-4b");
  expect((await request.get(`/api/jobs/${id}/document`)).status()).toBe(404);
  expect((await request.post(`/api/jobs/${id}/salvage`)).status()).toBe(404);
});

test.describe("the van over HTTP", () => {
  test("a part that the van lacks is named, and what is fitted leaves the list", async ({ request }) => {
    const job = JSON.parse(readFileSync(demoFile("sail-loft"), "utf8")) as { cables: { id: string; supply?: string; lengthM: number }[] };
    // No cable on any van of the other tests is this long.
    for (const cable of job.cables) if (cable.id === "bar-tv") Object.assign(cable, { supply: "van", lengthM: 2.75 });
    const imported = await request.post("/api/jobs/import", { data: job });
    const { id } = (await imported.json()) as { id: string };
    const what = { kind: "cable", class: "ultra-high-speed", lengthM: 2.75 };

    const held = (await (await request.get("/api/stock")).json()) as {
      items: { id: string; what: { class?: string; lengthM?: number } }[];
    };
    const serving = held.items.filter((item) => item.what.class === what.class && (item.what.lengthM ?? 0) >= what.lengthM);
    if (serving.length === 0) {
      const missing = await request.post(`/api/jobs/${id}/fitted`);
      expect(missing.status()).toBe(422);
      expect(await detailOf(missing)).toMatch(/The van does not have: .*2\.75.m\. Nothing was taken out/);
    }
    const line = (await (await request.post("/api/stock", { data: { what, count: 2, minimum: 1, price: 30 } })).json()) as { id: string };
    expect(await (await request.post(`/api/jobs/${id}/fitted`)).json()).toMatchObject({ fitted: 1 });
    const after = (await (await request.get("/api/stock")).json()) as { items: { id: string; count: number }[] };
    expect(after.items.find((item) => item.id === line.id)?.count).toBe(1);
    expect((await request.delete(`/api/stock/${line.id}`)).status()).toBe(204);
    const gone = await request.put(`/api/stock/${line.id}`, { data: { what, count: 1, minimum: 0, price: null } });
    expect([gone.status(), await detailOf(gone)]).toEqual([404, "This line is no longer on the van’s list."]);
  });

  test("a line that makes no sense is refused and the list stays as it was", async ({ request }) => {
    const before = await (await request.get("/api/stock")).json();
    for (const fields of [
      { what: { kind: "cable", class: "rope", lengthM: 2 }, count: 1 },
      { what: { kind: "spare", name: "" }, count: 1 },
      { what: { kind: "spare", name: "Labels" }, count: -1 },
    ])
      expect((await request.post("/api/stock", { data: fields })).status()).toBe(400);
    expect(await (await request.get("/api/stock")).json()).toEqual(before);
  });
});

test("the firm's settings come back as they were kept; a content that nobody knows is refused", async ({ request }) => {
  const before = (await (await request.get("/api/preferences")).json()) as { currency: string };
  expect(await (await request.put("/api/preferences", { data: { ...before, currency: "cr" } })).json()).toMatchObject({ currency: "cr" });
  const strange = { ...before, contents: { media: ["opera-in-smellovision"], app: [], tuner: [] } };
  expect((await request.put("/api/preferences", { data: strange })).status()).toBe(400);
  expect(await (await request.get("/api/preferences")).json()).toMatchObject({ currency: "cr" });
  await request.put("/api/preferences", { data: before });
});

test("a shelf file is taken in whole or not at all", async ({ request }) => {
  const names = async () =>
    ((await (await request.get("/api/shelf")).json()) as { own: { device: { name: string } }[] }).own.map(({ device }) => device.name);
  const before = await names();
  const one = { archetype: "bar-one-input", id: "bar", name: `Bar of file ${Date.now()}` };
  const bad = { format: "octachord-shelf", version: 1, devices: [one, { archetype: "no-such", id: "x" }] };
  const refused = await request.post("/api/shelf/import", { data: bad });
  expect(refused.status()).toBe(422);
  expect(await detailOf(refused)).toContain("devices[1]");
  expect(await names()).toEqual(before);
  const taken = await request.post("/api/shelf/import", { data: { ...bad, devices: [one] } });
  expect(await taken.json()).toEqual({ devices: 1 });
  expect(await names()).toContain(one.name);
});
