import { existsSync, readdirSync, readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { describe, expect, test } from "vitest";
import { readJobText } from "@/core/job";
import { troubleSentence } from "@/core/text";
import { jobSchemaText } from "./job-schema";

const here = (name: string) => fileURLToPath(new URL(name, import.meta.url));

test("the written JSON Schema is that of the code; `npm run schema` writes it anew", () => {
  expect(readFileSync(here("job-file.schema.json"), "utf8")).toBe(jobSchemaText());
});

describe("the examples in job-file.md", () => {
  const examples = [...readFileSync(here("job-file.md"), "utf8").matchAll(/```json\n([\s\S]*?)```/g)].map(([, text]) => text ?? "");
  test("are there", () => expect(examples.length).toBeGreaterThanOrEqual(2));
  test.each(examples)("are job files as they stand: %#", (text) => {
    const read = readJobText(text);
    expect(read.ok ? "" : read.refusal.map(troubleSentence).join(" ")).toBe("");
  });
});

test("every picture that the README shows is there, and there are under twenty", () => {
  const readme = readFileSync(here("../README.md"), "utf8");
  const shown = [...readme.matchAll(/docs\/screenshots\/[\w-]+\.png/g)].map(([path]) => path);
  expect(shown.length).toBeGreaterThan(0);
  for (const path of shown) expect(existsSync(here(`../${path}`)), path).toBe(true);
  expect(readdirSync(here("screenshots")).length).toBeLessThan(20);
});
