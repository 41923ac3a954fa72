import { describe, expect, test } from "vitest";
import { device, room, set } from "@/demo/room-under-test";
import { householdOf, simulate, soundingOf, volumeOwner, castOf, type Pressed, type Station, type Trace } from "@/core/cec";
import { frameBytes } from "@/core/text";

const plain = room(
  [device("tv-arc", "tv"), device("bar-arc-only", "bar"), device("streamer-4k", "one"), device("console-mat", "two")],
  "bar hdmi-out > tv hdmi1",
  "one hdmi-out > tv hdmi2",
  "two hdmi-out > tv hdmi3",
);
const household = householdOf(plain);
const on = (who: string, atMs = 0): Pressed => ({ atMs, device: who, key: { press: "power-on" } });
const bytesOf = ({ frames }: Trace) => frames.map(({ bytes }) => frameBytes(bytes));
const awake = (...devices: string[]): ReadonlyMap<string, Station> =>
  new Map([...household.stations].map(([id, station]) => [id, devices.includes(id) ? { ...station, power: "on" as const } : station]));

describe("two that begin at one moment", () => {
  test("the lower address goes on, the other gives way and follows", () => {
    // Both consoles wake in 8 s and want to light the screen: addresses 4 and 8.
    const { frames } = simulate(household.stations, [on("one"), on("two")]);
    const [first, second] = frames;
    expect([first?.frame.from, second?.frame.from]).toEqual([4, 8]);
    expect(first?.gaveWay).toEqual(["two"]);
    expect((second?.tMs ?? 0) - (first?.endMs ?? 0)).toBeCloseTo(12, 6);
  });

  test("both claim the screen, and the later one is shown by all", () => {
    const { end, restless } = simulate(household.stations, [on("one"), on("two")]);
    expect(restless).toBe(false);
    expect(new Set([...end.values()].map(({ source }) => source)).size).toBe(1);
  });
});

describe("a frame that nobody answers", () => {
  test("is tried five times again after three bits of rest, then given up", () => {
    const alone = householdOf(room([device("tv-arc", "tv"), device("streamer-4k", "one")], "one hdmi-out > tv hdmi2"));
    // The screen hands its sound to address 5, which nobody holds.
    const { frames } = simulate(alone.stations, [on("tv")]);
    const calls = frames.filter(({ frame }) => frame.to === 5);
    expect(calls.map(({ again }) => again)).toEqual([0, 1, 2, 3, 4, 5]);
    for (const [index, call] of calls.slice(1).entries()) expect(call.tMs - (calls[index]?.endMs ?? 0)).toBeCloseTo(7.2, 6);
  });

  test("does not hold the rest up: what else was to be said is said", () => {
    const alone = householdOf(room([device("tv-arc", "tv"), device("streamer-4k", "one")], "one hdmi-out > tv hdmi2"));
    expect(bytesOf(simulate(alone.stations, [on("one")]))).toContain("4F:82:20:00");
  });
});

describe("loudness", () => {
  const watching = simulate(household.stations, [on("tv")]).end;
  const press = (key: Pressed["key"]) => simulate(watching, [{ atMs: 0, device: "tv", key }]).end;

  test("louder and softer go by steps and stop at their ends", () => {
    expect(press({ press: "volume-up" }).get("bar")?.volume).toBe(22);
    expect(press({ press: "volume-down" }).get("bar")?.volume).toBe(18);
    const loud = new Map(watching);
    const bar = loud.get("bar");
    if (bar) loud.set("bar", { ...bar, volume: 100 });
    expect(simulate(loud, [{ atMs: 0, device: "tv", key: { press: "volume-up" } }]).end.get("bar")?.volume).toBe(100);
  });

  test("mute and mute again sounds as before; louder ends it", () => {
    const muted = press({ press: "mute" });
    expect(muted.get("bar")?.muted).toBe(true);
    expect(simulate(muted, [{ atMs: 0, device: "tv", key: { press: "mute" } }]).end.get("bar")?.muted).toBe(false);
    expect(simulate(muted, [{ atMs: 0, device: "tv", key: { press: "volume-up" } }]).end.get("bar")).toMatchObject({
      muted: false,
      volume: 22,
    });
  });

  test("is the bar's while it has the sound, and the screen's again when the bar goes off", () => {
    expect(volumeOwner(household.soundWays, castOf({ job: plain, mainScreen: null, stations: watching }))).toBe("bar");
    const off = simulate(watching, [{ atMs: 0, device: "bar", key: { press: "power-off" } }]);
    expect(bytesOf(off)).toEqual(["5F:72:00", "50:C5", "05:C2"]);
    const cast = castOf({ job: plain, mainScreen: null, stations: off.end });
    expect([soundingOf(household.soundWays, cast), volumeOwner(household.soundWays, cast)]).toEqual(["screen", "tv"]);
  });
});

describe("the screen's own remote", () => {
  test("turns to a player, wakes it, and back to its own apps", () => {
    const { end } = simulate(household.stations, [on("tv")]);
    const turned = simulate(end, [{ atMs: 0, device: "tv", key: { press: "input", input: 2 } }]);
    expect(bytesOf(turned).slice(0, 2)).toEqual(["0F:80:00:00:20:00", "0F:86:20:00"]);
    expect(turned.end.get("one")?.power).toBe("on");
    expect(turned.end.get("tv")).toMatchObject({ input: 2, source: "2.0.0.0" });
    const back = simulate(turned.end, [{ atMs: 0, device: "tv", key: { press: "input", input: null } }]);
    expect(back.end.get("tv")).toMatchObject({ input: null, source: "0.0.0.0" });
    expect(bytesOf(back)).toContain("0F:82:00:00");
  });

  test("does nothing while the screen sleeps, save to wake it", () => {
    expect(simulate(household.stations, [{ atMs: 0, device: "tv", key: { press: "input", input: 2 } }]).frames).toEqual([]);
  });

  test("switches all off that obey, and leaves those whose switch for that is off", () => {
    const stays = householdOf(set(plain, "two control-obeys off"));
    const all = simulate(stays.stations, [on("tv"), on("two", 20_000)]).end;
    const off = simulate(all, [{ atMs: 0, device: "tv", key: { press: "power-off" } }]);
    expect([...off.end].map(([id, { power }]) => [id, power])).toEqual([
      ["tv", "standby"],
      ["bar", "standby"],
      ["one", "standby"],
      ["two", "on"],
    ]);
  });

  test("keeps its own sound where it is set to its own speakers", () => {
    const own = householdOf(set(plain, "tv speakers own"));
    const { frames, end } = simulate(own.stations, [on("tv")]);
    expect(frames.some(({ frame }) => frame.message?.kind === "system-audio-mode-request")).toBe(false);
    expect(end.get("bar")?.power).toBe("standby");
  });
});

describe("a player", () => {
  test("that is shown and goes off says so, and the screen turns to its own", () => {
    const shown = simulate(household.stations, [on("one")]).end;
    const off = simulate(shown, [{ atMs: 0, device: "one", key: { press: "power-off" } }]);
    expect(bytesOf(off)[0]).toBe("40:9D:20:00");
    expect(off.end.get("tv")).toMatchObject({ power: "on", input: null });
  });

  test("that wakes nobody lights no screen, and is shown once a person turns to it", () => {
    const shy = householdOf(set(plain, "one control-wakes off"));
    const woke = simulate(shy.stations, [on("one")]);
    expect([woke.frames.length, woke.end.get("tv")?.power]).toEqual([0, "standby"]);
  });

  test("that is on already and is asked to be the source says so at once", () => {
    const stations = awake("tv", "one");
    const turned = simulate(stations, [{ atMs: 0, device: "tv", key: { press: "input", input: 2 } }]);
    const claim = turned.frames.find(({ frame }) => frame.message?.kind === "active-source");
    expect(claim?.device).toBe("one");
    expect(claim?.tMs).toBeLessThan(1000);
  });
});

test("chance moves only how long a device thinks: other seeds, the same frames in a quiet room", () => {
  const [first, second] = [1, 99].map((seed) => simulate(household.stations, [on("tv")], seed));
  expect(first && second && bytesOf(first)).toEqual(second && bytesOf(second));
  expect(first?.frames.map(({ tMs }) => tMs)).not.toEqual(second?.frames.map(({ tMs }) => tMs));
});
