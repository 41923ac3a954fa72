import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made, planned } from "@/demo/room-under-test";
import { arrivalsOf, solve, whileItPlays } from "@/core/chain";
import { fromShelfOrThrow, type Device } from "@/core/device";
import { applyCommand, emptyJob, joinSockets, removeWithCables, socketAnswers, type Job } from "@/core/job";
import { smallestChanges } from "@/core/plan";
import { meanwhileSentences } from "@/core/text";

const loft = demoJob("sail-loft");
const wishing = (job: Job, brief: Partial<Job["brief"]>): Job => ({ ...job, brief: { ...job.brief, ...brief } });
const withNews = (job: Job): Job => ({
  ...job,
  devices: job.devices.map((device) => (device.role === "screen" ? { ...device, sources: tvNews } : device)),
});
const tvNews: Device["sources"] = (fromShelfOrThrow("tv-earc", { id: "x" }).sources ?? []).map((source) => source);

describe("the wishes of the brief", () => {
  test("news from the screen is judged at the screen's own speakers, everything else at the sound system", () => {
    const job = withNews(wishing(loft, { newsFrom: "screen" }));
    const rows = arrivalsOf(job).filter(({ screen }) => screen !== null);
    const news = rows.filter(({ content }) => content.kind === "news");
    expect(news.length).toBeGreaterThan(0);
    for (const row of news) expect(row.system).toBe(row.screen);
    for (const row of rows.filter(({ content }) => content.kind !== "news")) expect(row.system).toBe("bar");
  });

  test("clear speech: a film whose centre channel is folded into two is told; with all its channels it is not", () => {
    // eARC off leaves ARC; PCM at the player then sends LPCM 2.0, which has no centre.
    const folded = made(
      wishing(loft, { clearSpeech: true }),
      planned("television", "earc", "off"),
      planned("disc-player", "player-audio", "pcm"),
    );
    const film = (job: Job) => arrivalsOf(job).find(({ id }) => id === "disc-player/disc/film-truehd-atmos");
    expect(film(folded)?.arrives?.channels).toBe("2.0");
    expect(film(folded)?.cautions).toContainEqual({ code: "speech-folded" });
    expect(film(wishing(loft, { clearSpeech: true }))?.cautions).toEqual([]);
  });

  test("one remote: where CEC is off the bar's own remote is one more, and is told", () => {
    const job = made(wishing(loft, { remotes: 1 }), planned("television", "cec", "off"));
    expect(arrivalsOf(job)[0]?.cautions).toContainEqual({ code: "one-more-remote", device: "bar" });
    expect(arrivalsOf(wishing(loft, { remotes: 1 }))[0]?.cautions).toEqual([]);
  });

  test("plain sound: nothing is proposed for surround, only for silence", () => {
    const stereo = made(loft, planned("disc-player", "player-audio", "pcm"), planned("television", "earc", "off"));
    expect(smallestChanges(stereo).best.changes.length).toBeGreaterThan(0);
    expect(smallestChanges(wishing(stereo, { surround: "plain" })).best.changes).toEqual([]);
  });

  test("what must stay is neither removed nor replaced", () => {
    const job = wishing(loft, { mustStay: ["television"] });
    expect(applyCommand(job, removeWithCables(job, "television"))).toMatchObject({
      ok: false,
      refusal: { code: "must-stay", device: "television" },
    });
  });

  test("no cable is proposed where the brief forbids one, and one that may be laid has the length written there", () => {
    const rooms = [
      { id: "rack", name: "Rack", seats: 0, space: null },
      { id: "wall", name: "Wall", seats: 0, space: null },
    ];
    const placed = (device: string, room: string) => ({ kind: "edit-device", device, fields: { room } }) as const;
    const run = (allowed: boolean) =>
      made(
        loft,
        { kind: "unplug", cable: "streamer-tv" },
        { kind: "set-rooms", rooms },
        placed("streamer", "rack"),
        placed("television", "wall"),
        {
          kind: "edit-brief",
          fields: { runs: [{ id: "run", between: ["wall", "rack"], allowed, lengthM: 7.5 }] },
        },
      );
    const held = { device: "streamer", port: "hdmi-out" };
    const answers = (job: Job) => socketAnswers(job, held).filter(({ end }) => end.device === "television" && end.port === "hdmi1");
    expect(answers(run(false))).toMatchObject([{ refusal: { code: "run-forbidden" } }]);
    expect(answers(run(true))).toMatchObject([{ refusal: null }]);
    expect(joinSockets(run(true), held, { device: "television", port: "hdmi1" })).toMatchObject({ cable: { lengthM: 7.5 } });
  });
});

describe("an app that fails over Bluetooth alone", () => {
  const room = (failsOver: "bluetooth"[]): Job => {
    const tv = fromShelfOrThrow("projector-apps", { id: "tv" });
    const sources = tv.sources.map((source) => (source.kind === "app" ? { ...source, failsOver } : source));
    const job: Job = { ...emptyJob("room"), devices: [{ ...tv, sources }, fromShelfOrThrow("bluetooth-speaker", { id: "speaker" })] };
    const [out, into] = job.devices.map((device) => ({
      device: device.id,
      port: device.ports.find(({ connector }) => connector === "bluetooth")?.id ?? "none",
    }));
    return out && into
      ? made({ ...job, brief: { ...job.brief, soundSystem: "speaker" } }, joinSockets(job, out, into), planned("tv", "bluetooth", "on"))
      : job;
  };

  test("is silent there and says so, and plays over the same link where it has no such fault", () => {
    const rows = arrivalsOf(room(["bluetooth"]));
    const app = rows.find(({ source }) => source === "apps");
    expect(app).toMatchObject({ verdict: "silent" });
    expect(app?.losses.map(({ reason }) => reason)).toContainEqual({
      code: "app-fails-over",
      device: "tv",
      source: "apps",
      link: "bluetooth",
    });
    expect(arrivalsOf(room([])).find(({ source }) => source === "apps")?.arrives).not.toBeNull();
  });
});

describe("while a row plays", () => {
  const meanwhile = (job: Job, id: string) => {
    const board = solve(job, "planned").rows;
    const row = board.find((arrival) => arrival.id === id) ?? board[0];
    return row ? whileItPlays(job, board, row) : [];
  };

  test("the other players wait at the screen, where one input is chosen at a time", () => {
    const others = meanwhile(loft, "streamer/apps/film-ddp-atmos");
    expect(others).toContainEqual({ does: "waits", player: "disc-player", at: "television" });
    expect(others.every(({ player }) => player !== "streamer")).toBe(true);
    expect(meanwhileSentences(loft, [{ does: "waits", player: "disc-player", at: "television" }])).toEqual([
      "Disc player waits at Television: one input is chosen there at a time.",
    ]);
  });

  test("a matrix lets another player show on its other screen, while the one receiver plays the row", () => {
    const hall = demoJob("village-hall");
    const [first] = solve(hall, "planned").rows.filter(({ screen }) => screen === "projector");
    expect(
      first &&
        meanwhile(hall, first.id)
          .filter(({ at }) => at === "monitor")
          .map(({ does }) => does),
    ).toContain("shows");
  });
});
