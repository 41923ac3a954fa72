import { describe, expect, test } from "vitest";
import { actOfEvent, householdOf, judgeAct } from "@/core/cec";
import { arrivalsOf, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { demoJob } from "@/demo/demo-jobs";
import { device, room, set } from "@/demo/room-under-test";
import { actPrediction, displayedWords, findTitleWords, predictionLines, watchWords } from "./prove-words";

const first = (job: Job, holds: (row: Arrival) => boolean): Arrival => {
  const row = arrivalsOf(job).find(holds);
  if (!row) throw new Error("no such row");
  return row;
};
const line = (job: Job, row: Arrival, name: string) => predictionLines(job, row).find((one) => one.name === name)?.words;
const loft = demoJob("sail-loft");

describe("where a title with that sound is found", () => {
  test("a game is set up for surround in its own menu", () => {
    expect(
      findTitleWords(
        loft,
        first(loft, ({ content }) => content.kind === "game"),
      ),
    ).toContain("sound menu");
  });
  test("a disc names its coding on its case, and what has objects is searched for by that name", () => {
    const row = first(loft, ({ content }) => content.tracks[0]?.objects === "atmos" && content.kind === "film");
    expect(findTitleWords(loft, row)).toContain("Dolby Atmos");
  });
  test("a broadcast is named by the programme guide", () => {
    const flat = demoJob("flat-4b");
    const row = arrivalsOf(flat).find(({ player, source }) => {
      const found = flat.devices.find(({ id }) => id === player);
      return found?.sources.find(({ id }) => id === source)?.kind === "tuner" || found?.control.kind === "tuner";
    });
    if (row) expect(findTitleWords(flat, row)).toContain("programme guide");
    else expect(flat.devices.some(({ sources }) => sources.some(({ kind }) => kind === "tuner"))).toBe(false);
  });
});

describe("the two lines of a display", () => {
  const wired = (mode: string) =>
    set(
      room(
        [device("disc-player-4k", "disc"), device("receiver-51", "receiver"), device("tv-earc", "tv")],
        "disc hdmi-out > receiver hdmi-in1",
        "receiver hdmi-out > tv hdmi3",
      ),
      `receiver decode-mode ${mode}`,
    );
  const disc = (mode: string) => first(wired(mode), ({ player, arrives }) => player === "disc" && arrives !== null);

  test("in all-channel mode the coding is still shown in full, so the mode is a line of its own", () => {
    const [straight, all] = [disc("auto"), disc("all-channel-stereo")];
    expect(line(wired("all-channel-stereo"), all, "Coding")).toBe(line(wired("auto"), straight, "Coding"));
    expect(line(wired("all-channel-stereo"), all, "Mode")).toBe("a surround or all-channel mode");
    expect(line(wired("auto"), straight, "Mode")).toBe("direct or straight decoding, not “stereo” or “all channel”");
  });

  test("where nothing arrives the sound system stays silent, and no mode is promised", () => {
    const muted = set(wired("auto"), "receiver power standby");
    const row = first(muted, ({ player }) => player === "disc");
    expect(line(muted, row, "Coding")).toBe("nothing; the sound system stays silent");
    expect(line(muted, row, "Mode")).toBeUndefined();
  });

  test("a device's own words for a coding stand beside the field's name of it", () => {
    const job = wired("auto");
    const row = disc("auto");
    const arrives = row.arrives;
    if (!arrives) throw new Error("silent");
    const worded = {
      ...job,
      devices: job.devices.map((one) =>
        one.id === "receiver" ? { ...one, displayWords: [{ coding: arrives.coding, words: "MULTI 5.1" }] } : one,
      ),
    };
    expect(displayedWords(worded, row, arrives)).toContain("(its display says “MULTI 5.1”)");
    expect(displayedWords(job, row, arrives)).not.toContain("its display says");
  });
});

describe("what to watch for", () => {
  test("where a drift is known the lips are watched for ten minutes, and nowhere else", () => {
    const flat = demoJob("flat-4b");
    const rows = arrivalsOf(flat);
    const drifting = rows.filter(({ cautions }) => cautions.some(({ code }) => code === "drift"));
    for (const row of rows) expect(watchWords(flat, row).some((words) => words.includes("ten minutes"))).toBe(drifting.includes(row));
  });
});

describe("what an act is predicted to do", () => {
  const told = (job: Job, event: string) => {
    const household = householdOf(job, "planned");
    const act = actOfEvent(household, event);
    const judged = act && judgeAct(household, act);
    if (!judged) throw new Error(`no act ${event}`);
    return actPrediction(job, judged);
  };

  test("one that goes as wanted says when picture and sound are there", () => {
    expect(told(loft, "tv-remote-power-on")).toMatch(/^Goes as wanted\..* \d/);
  });
  test("with control off at the screen the sound system does not wake, and the sentence names it", () => {
    const name = (job: Job) => job.devices.find(({ role }) => role === "sound")?.name ?? "";
    const tv = loft.devices.find(({ role }) => role === "screen");
    const off = set(loft, `${tv?.id ?? ""} cec off`);
    expect(told(off, "tv-remote-power-on")).toContain(name(off));
  });
});
