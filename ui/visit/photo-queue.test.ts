import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { holdPhoto, sendPhotos } from "./photo-queue";

/** The browser's own database, as far as the queue uses it. */
const kept = vi.hoisted(() => new Map<string, unknown>());
vi.mock("idb-keyval", () => ({
  createStore: () => null,
  entries: () => Promise.resolve([...kept]),
  set: (key: string, value: unknown) => Promise.resolve(void kept.set(key, value)),
  del: (key: string) => Promise.resolve(void kept.delete(key)),
}));

const JOB = "9b0c7bb0-6f1f-4c5b-8c2a-0d7a3a1f5e10";
const photo = (name: string) => ({ job: JOB, name, device: null, blob: new Blob(["x"]) });
const idOf = (url: string) => new URL(url, "http://here").searchParams.get("id");

beforeEach(() => kept.clear());
afterEach(() => vi.unstubAllGlobals());

test("a photo is let go by this device only once the job names it, each before the next is sent", async () => {
  const ids = [await holdPhoto(photo("one.png")), await holdPhoto(photo("two.png"))];
  const seen: string[] = [];
  vi.stubGlobal("fetch", (url: string) => {
    seen.push(`sent ${ids.indexOf(idOf(url) ?? "")}`);
    return Promise.resolve(Response.json({ id: idOf(url), name: "photo", type: "image/png", bytes: 1, device: null }, { status: 201 }));
  });
  const told = await sendPhotos(JOB, ({ id }) => seen.push(`named ${ids.indexOf(id)}, ${kept.has(id) ? "still held" : "gone"}`));
  expect(seen).toEqual(["sent 0", "named 0, still held", "sent 1", "named 1, still held"]);
  expect([told, kept.size]).toEqual([[], 0]);
});

test("a photo waits while the server is away, and one that the server refuses is named and let go", async () => {
  await holdPhoto(photo("one.png"));
  vi.stubGlobal("fetch", () => Promise.reject(new TypeError("network")));
  expect([await sendPhotos(JOB, () => undefined), kept.size]).toEqual([[], 1]);
  vi.stubGlobal("fetch", () => Promise.resolve(Response.json({ detail: "This file is no picture." }, { status: 415 })));
  expect([await sendPhotos(JOB, () => undefined), kept.size]).toEqual([["one.png: This file is no picture."], 0]);
});
