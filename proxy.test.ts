import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { NextRequest } from "next/server";
import { afterEach, describe, expect, test, vi } from "vitest";
import { Access } from "@/server/access";
import { proxy } from "./proxy";

const ask = (path: string, headers: Record<string, string> = {}, method = "GET") =>
  proxy(new NextRequest(`http://127.0.0.1:4173${path}`, { method, headers: { host: "127.0.0.1:4173", ...headers } }));
afterEach(() => {
  vi.unstubAllEnvs();
  vi.unstubAllGlobals();
});

describe("the gate", () => {
  test("serves this machine under its own names only", () => {
    expect(ask("/").status).toBe(200);
    expect(ask("/", { host: "localhost:4173" }).status).toBe(200);
    expect(ask("/", { host: "bench.example:4173" }).status).toBe(421);
  });

  test("lets nobody write from another origin, and reading stays possible", () => {
    for (const method of ["POST", "PUT", "DELETE"]) {
      expect(ask("/api/jobs", { origin: "http://127.0.0.1:4173" }, method).status).toBe(200);
      expect(ask("/api/jobs", { origin: "http://elsewhere.example" }, method).status).toBe(403);
      expect(ask("/api/jobs", { origin: "null" }, method).status).toBe(403);
      expect(ask("/api/jobs", { "sec-fetch-site": "cross-site" }, method).status).toBe(403);
      expect(ask("/api/jobs", {}, method).status).toBe(200);
    }
    expect(ask("/api/jobs", { origin: "http://elsewhere.example" }).status).toBe(200);
  });

  test("with a passphrase leads pages to the way in, refuses the rest, and lets in whoever signed in", async () => {
    vi.stubEnv("OCTACHORD_PASSPHRASE", "long: winter");
    const access = await Access.open(await mkdtemp(join(tmpdir(), "octachord-gate-")), "long: winter");
    vi.stubGlobal("octachordAccess", access);
    const page = ask("/jobs/1/arrivals?row=a");
    expect(page.status).toBe(303);
    expect(page.headers.get("location")).toBe("http://127.0.0.1:4173/sign-in?next=%2Fjobs%2F1%2Farrivals%3Frow%3Da");
    expect(ask("/api/jobs").status).toBe(401);
    expect(ask("/api/jobs/1/photos/2").status).toBe(401);
    expect(ask("/sign-in").status).toBe(200);
    expect(ask("/api/session", {}, "POST").status).toBe(200);
    expect(ask("/api/session", { origin: "http://elsewhere.example" }, "POST").status).toBe(403);
    expect(ask("/", { cookie: "octachord=made.up" }).status).toBe(303);
    const cookie = await access.signIn("long: winter", { address: "1", agent: "" });
    expect(ask("/", { cookie: `octachord=${cookie.ok ? cookie.value : ""}` }).status).toBe(200);
  });

  test("lets nobody in while a passphrase is set and the server has not opened its book yet", () => {
    vi.stubEnv("OCTACHORD_PASSPHRASE", "long: winter");
    expect(ask("/api/jobs", { cookie: "octachord=a.b" }).status).toBe(401);
  });

  test("gives every page a policy with a nonce of its own", () => {
    const [one, two] = [ask("/"), ask("/")].map((response) => response.headers.get("content-security-policy") ?? "");
    expect(one).toMatch(/script-src 'self' 'nonce-[A-Za-z0-9+/=]+' 'strict-dynamic'/);
    expect(one).not.toBe(two);
    expect(one).not.toContain("unsafe-eval");
  });
});
