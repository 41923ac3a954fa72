import { NextRequest } from "next/server";
import { afterEach, describe, expect, test, vi } from "vitest";
import { proxy } from "./proxy";

const ask = (path: string, headers: Record<string, string> = {}, method = "GET") =>
  proxy(new NextRequest(`http://127.0.0.1:4173${path}`, { method, headers: { host: "127.0.0.1:4173", ...headers } }));
afterEach(() => vi.unstubAllEnvs());

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

  test("with a passphrase asks for it, and takes it as the password of any user", () => {
    vi.stubEnv("OCTACHORD_PASSPHRASE", "long: winter");
    const basic = (text: string) => ({ authorization: `Basic ${Buffer.from(text).toString("base64")}` });
    expect(ask("/").status).toBe(401);
    expect(ask("/").headers.get("www-authenticate")).toContain("Basic");
    expect(ask("/", basic("me:wrong")).status).toBe(401);
    expect(ask("/", basic("me:long: winter")).status).toBe(200);
    expect(ask("/", { authorization: "Bearer long: winter" }).status).toBe(401);
  });

  test("gives every page a policy with a nonce of its own", () => {
    const [one, two] = [ask("/"), ask("/")].map((response) => response.headers.get("content-security-policy") ?? "");
    expect(one).toMatch(/script-src 'self' 'nonce-[A-Za-z0-9+/=]+' 'strict-dynamic'/);
    expect(one).not.toBe(two);
    expect(one).not.toContain("unsafe-eval");
  });
});
