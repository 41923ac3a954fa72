import { describe, expect, test } from "vitest";
import { edidOfDevice, hexOf, writeEdid } from "@/core/edid";
import { applyCommand, findDevice, VisitEntry, type Job } from "@/core/job";
import { lastEntries } from "@/core/visit";
import { demoJob } from "@/demo/demo-jobs";
import {
  answerOfPasted,
  cureEdit,
  finderOf,
  foundByKind,
  foundIn,
  householdChecks,
  observedInProof,
  stepId,
  walksOf,
  walkStep,
  type Finder,
  type LookRow,
} from "@/core/diagnose";

const hall = finderOf(demoJob("village-hall"));
const WALK = "11111111-1111-4111-8111-111111111111";
let minute = 0;
const entry = (fields: Partial<VisitEntry> & Pick<VisitEntry, "step">): VisitEntry =>
  VisitEntry.parse({
    id: crypto.randomUUID(),
    state: "done",
    at: new Date(Date.UTC(2026, 10, 27, 9, (minute += 1))).toISOString(),
    ...fields,
  });
const lookOf = ({ singles }: Finder, does: string): LookRow => {
  const row = singles.looks.find(({ look }) => look.does === does);
  if (!row) throw new Error(`no ${does}`);
  return row;
};

describe("what Prove saw", () => {
  const row = [...hall.healthy.seen.rows.keys()][0] ?? "";
  const seen = (sees: VisitEntry["sees"]) => observedInProof(hall.singles, lastEntries([entry({ step: `prove ${row}`, sees })]))[0]?.answer;
  test("counts as answers: as predicted, silent, and what no fault shows as something else", () => {
    expect(seen("as-predicted")).toBe(hall.healthy.seen.rows.get(row));
    expect(seen("silent")).toBe("silent");
    expect(seen({ coding: "aac", channels: "7.1" })).toBe("something-else");
  });
  test("that was taken back, or was of a speaker, counts for nothing", () => {
    expect(observedInProof(hall.singles, lastEntries([entry({ step: `prove ${row}`, sees: "silent", state: "open" })]))).toEqual([]);
    expect(observedInProof(hall.singles, lastEntries([entry({ step: "speaker receiver l L", sees: "silent" })]))).toEqual([]);
  });
});

describe("a pasted text", () => {
  test("of the EDID that a player sees answers its list of formats as reading it would", () => {
    const finder = finderOf(demoJob("flat-4b"));
    const row = lookOf(finder, "format-list");
    if (row.look.does !== "format-list") throw new Error("no list");
    const { look } = row;
    const cable = finder.healthy.job.cables.find(({ from }) => from.device === look.device && from.port === look.port);
    const screen = cable && findDevice(finder.healthy.job, cable.to.device);
    if (!cable || !screen) throw new Error("not plugged");
    const made = edidOfDevice(screen, cable.to.port);
    if (!made) throw new Error("no EDID");
    const text = hexOf(writeEdid(made));
    const answer = answerOfPasted(finder.healthy, row, text);
    expect(answer.ok && row.answers.includes(answer.value)).toBe(true);
  });

  test("of a trace answers which devices speak, by their addresses", () => {
    const row = lookOf(hall, "found-list");
    const screen = row.look.does === "found-list" ? row.look.device : "";
    const { nodes } = hall.healthy.household.network;
    const wire = nodes.find(({ device }) => device === screen)?.wire;
    const speaking = nodes.filter((node) => node.device !== screen && node.wire === wire && node.speaks);
    const lines = speaking.map(({ device }) => {
      const from = hall.healthy.household.claims.held.get(device) ?? 15;
      return `${from.toString(16)}F:84:10:00:04`;
    });
    const answer = answerOfPasted(hall.healthy, row, lines.join("\n"));
    expect(answer).toMatchObject({ ok: true });
    expect(answer.ok && new Set(answer.value.split("+"))).toEqual(new Set(hall.healthy.seen.glances.get(row.id)?.split("+")));
  });

  test("that is neither says so", () => {
    expect(answerOfPasted(hall.healthy, lookOf(hall, "format-list"), "hello")).toEqual({ ok: false, refusal: { code: "no-edid" } });
    expect(answerOfPasted(hall.healthy, lookOf(hall, "found-list"), "hello")).toEqual({ ok: false, refusal: { code: "no-frame" } });
  });
});

describe("a box left out", () => {
  const finder = finderOf(demoJob("06-extractor-edid", "systems"));
  const row = lookOf(finder, "bypass");
  const shows = (id: string) => row.answers[row.shows[finder.singles.suspects.findIndex((one) => one.id === id)] ?? -1];
  test("tells a fault of the box from one of the player, since without the box its own faults are gone", () => {
    const box = row.look.does === "bypass" ? row.look.device : "";
    const player = row.look.does === "bypass" ? (row.look.row.split("/")[0] ?? "") : "";
    expect(shows(`no-power:${box}`)).toBe(finder.healthy.seen.bypassed.get(box));
    expect(shows(`no-power:${player}`)).not.toBe(finder.healthy.seen.bypassed.get(box));
  });
});

describe("the edit of a cure", () => {
  const job = demoJob("village-hall");
  const after = (cure: Parameters<typeof cureEdit>[1]): Job | null => {
    const edit = cureEdit(job, cure);
    if (!edit) return null;
    const applied = applyCommand(job, edit);
    if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
    return applied.value.job;
  };
  test("of a menu notes it as left at what was planned, and is nothing where it is noted already", () => {
    const made = after({ does: "set", device: "receiver", setting: "mute" });
    expect(made && findDevice(made, "receiver")?.settings.find(({ key }) => key === "mute")?.left).toBe("off");
    expect(made && cureEdit(made, { does: "set", device: "receiver", setting: "mute" })).toBeNull();
  });
  test("of a broken socket moves the plug to the next and notes the old one", () => {
    const cable = job.cables.find(({ to }) => to.device === "matrix");
    if (!cable) throw new Error("no cable");
    const made = after({ does: "other-socket", device: "matrix", port: cable.to.port });
    const moved = made?.cables.find(({ id }) => id === cable.id);
    expect(made && findDevice(made, "matrix")?.ports.find(({ id }) => id === cable.to.port)?.dead).toBe(true);
    expect(moved === undefined || moved.to.port !== cable.to.port || moved.to.device !== "matrix").toBe(true);
  });
  test("of a plug pushed home is nothing: the job was right", () =>
    expect(cureEdit(job, { does: "seat", cable: job.cables[0]?.id ?? "", side: "from" })).toBeNull());
});

test("five checks for the household need no tool, no menu of the trade and no purchase", () => {
  const checks = householdChecks(hall);
  expect(checks).toHaveLength(5);
  expect(new Set(checks.map(stepId)).size).toBe(5);
  for (const { does } of checks) expect(["set", "power", "own-key", "restart", "unpair", "seat", "other-title", "unit"]).toContain(does);
});

describe("the record of a search", () => {
  const told = entry({
    step: walkStep({ walk: WALK, step: "symptom", id: "silent:all" }),
    fix: { walk: WALK, step: "symptom", id: "silent:all", answer: "" },
  });
  const wrong = entry({
    step: walkStep({ walk: WALK, step: "check", id: "lamp:receiver" }),
    fix: { walk: WALK, step: "check", id: "lamp:receiver", answer: "off" },
  });
  const back = entry({ step: wrong.step, state: "open", fix: wrong.fix });
  const mended = entry({
    step: walkStep({ walk: WALK, step: "check", id: "set:receiver:mute" }),
    fix: { walk: WALK, step: "check", id: "set:receiver:mute", answer: "mended" },
    minutes: 0.5,
  });
  const found = entry({
    step: walkStep({ walk: WALK, step: "found", id: "muted:receiver/mute=on" }),
    fix: { walk: WALK, step: "found", id: "muted:receiver/mute=on", answer: "" },
  });
  test("tells what was complained of and done, without what was taken back, whatever the order in which entries came", () => {
    const [walk] = walksOf([found, mended, back, wrong, told]);
    expect(walk).toMatchObject({
      symptoms: ["silent:all"],
      line: [{ check: "set:receiver:mute", answer: "mended", minutes: 0.5 }],
      end: { found: "muted:receiver/mute=on" },
    });
  });
  test("of a cure that helped only for a moment counts the later answer", () => {
    const again = entry({ step: mended.step, fix: { walk: WALK, step: "check", id: "set:receiver:mute", answer: "changed-nothing" } });
    expect(walksOf([told, mended, again])).toMatchObject([
      { line: [{ check: "set:receiver:mute", answer: "changed-nothing" }], end: null },
    ]);
  });
  test("teaches the firm which kinds it finds", () => expect(foundByKind(foundIn([told, mended, found]))).toEqual({ muted: 1 }));
});
