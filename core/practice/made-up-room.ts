import { fromShelfOrThrow, type Device } from "@/core/device";
import type { Draw } from "@/core/diagnose";
import { applyCommand, emptyJob, freeName, joinSockets, whyNotPlug, type CableEnd, type Job } from "@/core/job";
import { commandOf, smallestChanges } from "@/core/plan";
import { LEVEL_FACTS, type Level } from "./levels";

const SCREENS = ["tv-earc", "tv-earc-120", "tv-arc"] as const;
const SYSTEMS: Readonly<Record<"plain" | "room", readonly string[]>> = {
  plain: ["bar-two-inputs", "bar-one-input", "receiver-51", "receiver-72", "bar-arc-optical"],
  room: ["receiver-72", "receiver-51", "bar-battery-rears", "bar-wireless-subwoofer"],
};
const PLAYERS = ["streamer-4k", "console-mat", "disc-player-4k", "set-top-box", "disc-player-hd"] as const;
const BOXES = ["switch-3x1", "earc-extractor-mixed", "extractor"] as const;

/** A few settings put a fresh room right; a long search is not worth the wait. */
const MOST_NODES = 300;

const pick = <Item>(draw: Draw, items: readonly Item[]): Item => {
  const item = items[Math.floor(draw() * items.length)];
  if (item === undefined) throw new Error("nothing to pick from");
  return item;
};

/** A room of the shelf's devices, wired and set so that it plays as well as it can: what is wrong with it comes afterwards. */
export function madeUpRoom(draw: Draw, level: Level): Job {
  const {
    players: [from, to],
    hasBox,
  } = LEVEL_FACTS[level];
  const count = from + Math.floor(draw() * (to - from + 1));
  const kinds = [...PLAYERS].sort((a, b) => a.localeCompare(b));
  const players = Array.from(
    { length: count },
    (_, index) => kinds.splice(Math.floor(draw() * kinds.length), 1)[0] ?? PLAYERS[index % PLAYERS.length] ?? "streamer-4k",
  );
  let job = emptyJob("Practice room");
  add(pick(draw, SCREENS), "screen");
  add(pick(draw, level === "room" ? SYSTEMS.room : SYSTEMS.plain), "system");
  const back = socketsOf("screen", "in").find(({ port }) => isReturn("screen", port)) ?? socketsOf("screen", "in")[0];
  for (const out of socketsOf("system", "out")) if (back && join(out, back)) break;
  const box = hasBox && draw() < 0.5 ? pick(draw, BOXES) : null;
  for (const [index, kind] of players.entries()) add(kind, `player-${index + 1}`);
  if (box) add(box, "box");
  for (const [index] of players.entries()) {
    const id = `player-${index + 1}`;
    const hubs = draw() < 0.5 ? ["system", "screen"] : ["screen", "system"];
    if (box && index === 0 && through(id)) continue;
    plugAnywhere(id, hubs);
  }
  const lifted = smallestChanges(job, { mostNodes: MOST_NODES, kinds: ["setting"] });
  const better = lifted.best.changes.length ? applyCommand(job, commandOf(lifted.best)) : null;
  return better?.ok ? better.value.job : job;

  function add(archetype: string, id: string): void {
    const device = fromShelfOrThrow(archetype, { id });
    const name = freeName(device.name, new Set(job.devices.map((one) => one.name)));
    job = { ...job, devices: [...job.devices, { ...device, name }] };
  }
  function deviceOf(id: string): Device | undefined {
    return job.devices.find((device) => device.id === id);
  }
  function socketsOf(id: string, direction: "in" | "out"): readonly CableEnd[] {
    const ports = deviceOf(id)?.ports.filter((port) => port.connector === "hdmi" && port.direction === direction) ?? [];
    return ports.map((port) => ({ device: id, port: port.id }));
  }
  function isReturn(id: string, port: string): boolean {
    return deviceOf(id)?.ports.some((one) => one.id === port && one.connector === "hdmi" && one.returns !== "none") ?? false;
  }
  function join(out: CableEnd, into: CableEnd): boolean {
    if (whyNotPlug(job, out, into)) return false;
    const joined = applyCommand(job, joinSockets(job, out, into));
    if (joined.ok) job = joined.value.job;
    return joined.ok;
  }
  function plugAnywhere(id: string, hubs: readonly string[]): boolean {
    return socketsOf(id, "out").some((out) =>
      hubs.some((hub) => socketsOf(hub, "in").some((into) => !(hub === "screen" && into.port === back?.port) && join(out, into))),
    );
  }
  function through(id: string): boolean {
    return plugAnywhere("box", ["screen", "system"]) && plugAnywhere(id, ["box"]);
  }
}
