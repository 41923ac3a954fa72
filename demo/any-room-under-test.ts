import fc from "fast-check";
import { QUIRKS, type Device } from "@/core/device";
import { applyCommand, freeJoins, WEIGHINGS, type Bond, type Brief, type Job, type Want } from "@/core/job";
import { boxOfShelf, wiringSpace, wishesOf, type WiringSpace } from "@/core/plan";
import { device, room } from "./room-under-test";

/** A choice among as many as there turn out to be. */
const pick = fc.nat(1000);
const chosen = <Item>(items: readonly Item[], index: number): Item | undefined => items[index % Math.max(1, items.length)];

const wants: fc.Arbitrary<Want> = fc.constantFrom<Want>(
  { want: "whole", device: "p0" },
  { want: "sounds", device: "screen" },
  { want: "picture", device: "p0" },
  { want: "everywhere", device: "p0" },
  { want: "remotes", most: 1 },
  { want: "remotes", most: 2 },
);
const bonds: fc.Arbitrary<Bond> = fc.constantFrom<Bond>(
  { bond: "forbid-new-cables" },
  { bond: "forbid-place", player: "p0", hub: "system" },
  { bond: "pin", player: "p0", hub: "screen", port: null },
);

/** For tests: rooms in which everything that a plan looks at differs: devices, settings, habits, plugs that lie, wishes and limits. */
export const anyRoom = fc.record({
  screen: fc.constantFrom("tv-arc", "tv-earc", "tv-no-return", "projector", "tv-coaxial"),
  second: fc.option(fc.constantFrom("projector", "tv-arc"), { freq: 3 }),
  system: fc.constantFrom("bar-one-input", "bar-arc-optical", "bar-two-inputs", "bar-earc-only", "receiver-51", "amplifier-knob"),
  players: fc.array(fc.constantFrom("streamer-4k", "console-mat", "disc-player-hd", "set-top-box", "disc-player-4k"), { maxLength: 3 }),
  boxes: fc.subarray(
    ["earc-extractor-mixed", "switch-3x1", "arc-adapter", "extractor", "splitter-1x2", "matrix-4x2", "optical-to-coaxial"],
    { maxLength: 2 },
  ),
  settings: fc.array(fc.tuple(pick, pick, pick), { maxLength: 6 }),
  quirks: fc.array(fc.tuple(pick, pick), { maxLength: 3 }),
  plugs: fc.array(pick, { maxLength: 5 }),
  brief: fc.record({
    weighing: fc.constantFrom(...WEIGHINGS),
    mayBuy: fc.subarray<Brief["mayBuy"][number]>(["cable", "box", "device"]),
    newsFrom: fc.constantFrom<Brief["newsFrom"]>("system", "screen"),
    surround: fc.constantFrom<Brief["surround"]>("wished", "wished", "plain"),
    screensAtOnce: fc.constantFrom<Brief["screensAtOnce"]>(null, "one", "several"),
    remotes: fc.constantFrom<Brief["remotes"]>(null, 1, 2),
    bonds: fc.array(bonds, { maxLength: 1 }),
    musts: fc.array(wants, { maxLength: 1 }),
    hopes: fc.array(wants, { maxLength: 1 }),
  }),
});
export type AnyRoom = typeof anyRoom extends fc.Arbitrary<infer One> ? One : never;

/** The job of such a room; wishes for players that are not there are left out. */
export function anyJob({ screen, second, system, players, settings, quirks, plugs, brief }: AnyRoom): Job {
  const devices = [
    device(screen, "screen"),
    ...(second ? [device(second, "second")] : []),
    device(system, "system"),
    ...players.map((kind, index) => device(kind, `p${index}`)),
  ];
  const set = settings.reduce((all, [whose, which, value]) => withSetting(all, whose, which, value), devices);
  const odd = quirks.reduce((all, [whose, which]) => withQuirk(all, whose, which), set);
  const isThere = (names: Bond | Want) => players.length > 0 || JSON.stringify(names).indexOf('"p0"') < 0;
  const wished = {
    ...brief,
    bonds: brief.bonds.filter(isThere),
    musts: brief.musts.filter(isThere),
    hopes: brief.hopes.filter(isThere),
  };
  const empty = room(odd);
  return plugs.reduce(plugged, { ...empty, brief: { ...empty.brief, ...wished } });
}

/** What can be planned of it with the boxes that lie in the van. */
export function anySpace(one: AnyRoom): WiringSpace {
  const job = anyJob(one);
  const boxes = one.boxes.flatMap((box, index) => boxOfShelf(job, box, 40 + 30 * index, "van") ?? []);
  const space = wiringSpace(job, { boxes: job.brief.mayBuy.includes("box") ? boxes : [] }, wishesOf(job));
  if (!space) throw new Error("nothing to plan");
  return space;
}

function withSetting(devices: readonly Device[], whose: number, which: number, value: number): Device[] {
  return devices.map((one, index) => {
    if (index !== whose % devices.length) return one;
    const row = chosen(one.settings, which);
    const found = row && chosen(row.options, value);
    return row && found ? { ...one, settings: one.settings.map((other) => (other === row ? { ...row, found } : other)) } : one;
  });
}

function withQuirk(devices: readonly Device[], whose: number, which: number): Device[] {
  return devices.map((one, index) => {
    const quirk = chosen(QUIRKS, which);
    const isNew = quirk !== undefined && !one.control.quirks.includes(quirk);
    return index === whose % devices.length && isNew
      ? { ...one, control: { ...one.control, quirks: [...one.control.quirks, quirk] } }
      : one;
  });
}

function plugged(job: Job, which: number): Job {
  const join = chosen(freeJoins(job), which);
  const applied = join && applyCommand(job, join.command);
  return applied?.ok ? applied.value.job : job;
}

/** What a set of such rooms varied, in words, for the log of a test. */
export function variedIn(tried: readonly AnyRoom[]): string {
  const count = (holds: (one: AnyRoom) => boolean) => tried.filter(holds).length;
  return [
    `${tried.length} rooms`,
    `${count(({ settings }) => settings.length > 0)} with settings found otherwise`,
    `${count(({ quirks }) => quirks.length > 0)} with habits`,
    `${count(({ plugs }) => plugs.length > 0)} wired already`,
    `${count(({ boxes }) => boxes.length > 0)} with boxes at hand`,
    `${count(({ second }) => second !== null)} with a second screen`,
    `${count(({ brief }) => brief.bonds.length > 0)} with bonds`,
    `${count(({ brief }) => brief.musts.length + brief.hopes.length > 0)} with wishes`,
    `${count(({ brief }) => brief.mayBuy.length < 3)} where not all may be bought`,
  ].join(", ");
}
