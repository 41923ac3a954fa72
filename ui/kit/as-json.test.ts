import { expect, test } from "vitest";
import { asJson, outlivingItsPage } from "./as-json";

test("what is sent as JSON says so", () => {
  expect(asJson("PUT", { name: "Loft" })).toEqual({
    method: "PUT",
    body: '{"name":"Loft"}',
    headers: { "Content-Type": "application/json" },
  });
});

test("it outlives its page where browsers allow that: up to 64 KiB of all that is under way", () => {
  expect(outlivingItsPage(asJson("POST", "e".repeat(30_000)))).toMatchObject({ method: "POST", keepalive: true });
  // A sign outside ASCII takes more than one byte: these are 30,000 letters and 90,000 bytes.
  expect(outlivingItsPage(asJson("POST", "€".repeat(30_000))).keepalive).toBe(false);
});
