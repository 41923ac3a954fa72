import { readdirSync, readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { describe, expect, test } from "vitest";
import { z } from "zod";
import { Device } from "@/core/device";
import { applyAll, readCommands, readJob, type Job } from "@/core/job";
import { Preferences } from "@/core/preferences";
import { StockFields } from "@/core/stock";
import { STEPS } from "./steps";
import { migrate, STORED_KINDS, STORED_VERSION, type VersionStep } from "@/core/versions";

const FOLDER = new URL("fixtures/", import.meta.url);

/** What a program of some version kept of each kind; made once with that program, and never changed. */
const Fixture = z.object({
  version: z.number(),
  job: z.unknown(),
  log: z.array(z.object({ kind: z.string(), document: z.unknown().optional(), commands: z.array(z.unknown()).optional() })),
  device: z.unknown(),
  stock: z.unknown(),
  preferences: z.unknown(),
});
const fixtures = readdirSync(FOLDER).map((name) => Fixture.parse(JSON.parse(readFileSync(fileURLToPath(new URL(name, FOLDER)), "utf8"))));

const lifted = (kind: (typeof STORED_KINDS)[number], version: number, value: unknown): unknown => {
  const found = migrate(kind, version, value);
  if (!found.ok) throw new Error(JSON.stringify(found.refusal));
  return found.value;
};
const jobOf = (raw: unknown): Job => {
  const read = readJob(raw);
  if (!read.ok) throw new Error(JSON.stringify(read.refusal));
  return read.value;
};

describe("what an older program kept", () => {
  test("there is a sample of every version up to this one", () => {
    expect(fixtures.map(({ version }) => version).toSorted((a, b) => a - b)).toEqual(
      Array.from({ length: STORED_VERSION }, (_, index) => index + 1),
    );
  });

  test.each(fixtures)(
    "of version $version is read: own devices, the van's lines, the settings",
    ({ version, device, stock, preferences }) => {
      expect(Device.safeParse(lifted("device", version, device)).error).toBeUndefined();
      expect(StockFields.safeParse(lifted("stock", version, stock)).error).toBeUndefined();
      expect(Preferences.parse(lifted("preferences", version, preferences))).toMatchObject({ units: "imperial", currency: "cr" });
    },
  );

  test.each(fixtures)("of version $version: the log of a job still makes the job that was kept", ({ version, job, log }) => {
    let made: Job | null = null;
    for (const entry of log) {
      const commands = readCommands(version, entry.commands ?? []);
      const next: ReturnType<typeof applyAll> | null =
        entry.kind === "new" ? { ok: true, value: jobOf(entry.document) } : made && commands && applyAll(made, commands);
      if (!next?.ok) throw new Error(`the log stops at ${JSON.stringify(entry).slice(0, 200)}`);
      made = next.value;
    }
    expect(made).toEqual(jobOf(job));
  });
});

test("the version that is written is that of the last step", () => expect(STORED_VERSION).toBe(STEPS.at(-1)?.to));

describe("lifting", () => {
  const same = (value: unknown) => value;
  const renamed = (from: string, to: string) => (value: unknown) => {
    const { [from]: held, ...rest } = value as Record<string, unknown>;
    return { ...rest, [to]: held };
  };
  const step = (to: number, up: Partial<VersionStep["up"]>): VersionStep => ({
    to,
    name: `to ${to}`,
    up: { job: same, device: same, command: same, stock: same, preferences: same, ...up },
  });
  const steps = [step(2, { stock: renamed("amount", "count") }), step(3, { stock: renamed("least", "minimum") })];

  test("takes every step after the version of a value, in order, and none for what is new already", () => {
    expect(migrate("stock", 1, { amount: 3, least: 1 }, steps)).toEqual({ ok: true, value: { count: 3, minimum: 1 } });
    expect(migrate("stock", 2, { count: 3, least: 1 }, steps)).toEqual({ ok: true, value: { count: 3, minimum: 1 } });
    expect(migrate("stock", 3, { count: 3, minimum: 1 }, steps)).toEqual({ ok: true, value: { count: 3, minimum: 1 } });
    expect(migrate("device", 1, { amount: 3 }, steps)).toEqual({ ok: true, value: { amount: 3 } });
  });

  test("tells a value of a newer program, and one whose version is none", () => {
    expect(migrate("stock", 4, {}, steps)).toEqual({ ok: false, refusal: { code: "newer-version", version: 4, known: 3 } });
    for (const version of [0, 1.5, "1", undefined])
      expect(migrate("stock", version, {}, steps)).toEqual({ ok: false, refusal: { code: "unknown-version", version: version ?? null } });
  });
});
