import { actOfEvent, actsAlike, actsOf, eventOf, householdOf, isOnPurpose, judgeAct, networkOf, type Household } from "@/core/cec";
import { listingAt, makeRig, returnChannel, solve, solveAgain, type Arrival, type Rig, type Solved } from "@/core/chain";
import { effectiveSetting, toneOf, unitsOf, type ToneHeard } from "@/core/device";
import { LIP_SYNC } from "@/core/facts";
import { applyCommand, asItStands, chosenSoundSystem, findDevice, type Command, type Job } from "@/core/job";
import { bypassesOf } from "./bypass";

/** All that a person could hear, see and read in a room, as it is played: each by its name, with what it shows. Nothing of it is written by hand. */
export interface Seen {
  readonly rows: ReadonlyMap<string, string>;
  readonly acts: ReadonlyMap<string, string>;
  /** By unit of the sound system. */
  readonly tones: ReadonlyMap<string, ToneHeard>;
  /** Lamps, displays and lists, by the id of the look. */
  readonly glances: ReadonlyMap<string, string>;
  /** What plays of one content when a box is left out, by the id of the box. */
  readonly bypassed: ReadonlyMap<string, string>;
}

/** A healthy room with one box left out, and the content by which that is tried. */
interface BypassedRoom {
  readonly box: string;
  readonly row: string;
  readonly solved: Solved;
  readonly rows: ReadonlyMap<string, Arrival>;
}

/** A room that is as planned, played, against which each fault is played. */
export interface Healthy {
  readonly job: Job;
  readonly solved: Solved;
  readonly rows: ReadonlyMap<string, Arrival>;
  readonly household: Household;
  /** The acts that a person does on purpose. */
  readonly events: readonly string[];
  readonly bypassed: readonly BypassedRoom[];
  readonly seen: Seen;
}

/** Plays a room as it is planned: every content, every everyday act, every lamp and list. */
export function healthyRoom(job: Job): Healthy {
  const solved = solve(job, "planned");
  const household = householdOf(job, "planned", { solved });
  const events = actsOf(household)
    .filter(isOnPurpose)
    .map((act) => eventOf(act));
  const rows = byId(solved.rows);
  const bypassed = bypassedRooms(job, solved);
  const seen: Seen = {
    rows: rowsSeen(job, rows, rows),
    acts: actsSeen(household, events),
    bypassed: new Map(bypassed.map(({ box, row, rows: own }) => [box, rowsSeen(job, own, own).get(row) ?? "silent"])),
    ...looksOf(job),
  };
  return { job, solved, rows, household, events, bypassed, seen };
}

function bypassedRooms(job: Job, solved: Solved): readonly BypassedRoom[] {
  return bypassesOf(job).flatMap(({ box, player, command }): BypassedRoom[] => {
    const applied = applyCommand(job, command);
    const row = solved.rows.find((one) => one.player === player)?.id;
    if (!applied.ok || row === undefined) return [];
    const around = solve(applied.value.job, "planned");
    return [{ box, row, solved: around, rows: byId(around.rows) }];
  });
}

/** What the content of each bypass shows with a fault in the room; a fault of what is left out is gone. */
function bypassedWith({ bypassed }: Healthy, plant: Command): Seen["bypassed"] {
  return new Map(
    bypassed.map(({ box, row, solved, rows }) => {
      const planted = applyCommand(solved.job, plant);
      const job = planted.ok ? planted.value.job : solved.job;
      const now = planted.ok ? byId(solveAgain(solved, job, { told: "as-heard" }).rows) : rows;
      return [box, rowsSeen(job, now, rows).get(row) ?? "silent"] as const;
    }),
  );
}

/** Plays the same room with something wrong in it. */
export function brokenRoom(
  healthy: Healthy,
  plant: Command,
  job: Job,
  bearsOn: { readonly sound: boolean; readonly control: boolean },
): Seen {
  const solved = bearsOn.sound ? solveAgain(healthy.solved, job, { told: "as-heard" }) : { ...healthy.solved, job };
  const rows = bearsOn.sound ? rowsSeen(job, byId(solved.rows), healthy.rows) : healthy.seen.rows;
  const acts = bearsOn.control ? actsAfter(healthy, job, solved) : healthy.seen.acts;
  return { rows, acts, bypassed: bearsOn.sound ? bypassedWith(healthy, plant) : healthy.seen.bypassed, ...looksOf(job) };
}

function actsAfter(healthy: Healthy, job: Job, solved: Solved): ReadonlyMap<string, string> {
  const household = householdOf(job, "planned", { solved });
  return actsAlike(healthy.household, household) ? healthy.seen.acts : actsSeen(household, healthy.events);
}

const byId = (rows: readonly Arrival[]): ReadonlyMap<string, Arrival> => new Map(rows.map((row) => [row.id, row]));

function actsSeen(household: Household, events: readonly string[]): ReadonlyMap<string, string> {
  return new Map(
    events.map((event) => {
      const act = actOfEvent(household, event);
      const judged = act && judgeAct(household, act);
      if (!judged) return [event, "nothing"];
      const { verdict } = judged;
      if (verdict.verdict === "unstable") return [event, "unstable"];
      const misses =
        "misses" in verdict ? verdict.misses.map((miss) => ("device" in miss ? `${miss.miss}/${miss.device}` : miss.miss)) : [];
      return [event, misses.length ? misses.join("+") : "as-wished"];
    }),
  );
}

/** What is heard and seen of each row that the healthy room has; a row that is gone has lost its picture, or its sound. */
function rowsSeen(job: Job, now: ReadonlyMap<string, Arrival>, healthy: ReadonlyMap<string, Arrival>): ReadonlyMap<string, string> {
  const lone = new Map([...now.values()].map((row) => [contentOf(row.id), row]));
  return new Map([...healthy].map(([id, was]) => [id, rowSeen(job, now.get(id) ?? goneFrom(lone.get(contentOf(id))), was)]));
}

/** A content whose way to one screen is gone plays on without that picture. */
const goneFrom = (row: Arrival | undefined): Arrival | undefined => (row ? { ...row, picture: null, lipSyncMs: null } : undefined);
export const contentOf = (row: string): string => row.replace(/@.*$/, "");

/**
 * A row as a person sees it: "silent", "no-picture", "own-speakers" where the screen itself plays, or the coding and channels that the display of
 * the sound system shows, with the layout that plays, and whether sound and picture part.
 */
function rowSeen(job: Job, row: Arrival | undefined, was: Arrival): string {
  if (was.picture && !row?.picture) return "no-picture";
  if (!row?.arrives) return row?.screenSpeakers ? "own-speakers" : "silent";
  const { arrives, plays, lipSyncMs } = row;
  return [
    arrives.coding,
    arrives.channels,
    ...(arrives.objects === "none" ? [] : ["objects"]),
    ...(plays ? [`plays-${plays.layout}${plays.upmixed ? "-spread" : ""}`] : []),
    ...(row.picture && was.picture && row.picture.mode !== was.picture.mode ? ["lesser-picture"] : []),
    ...(lipSyncMs === null
      ? []
      : lipSyncMs < LIP_SYNC.noticeable.earlyMs
        ? ["early"]
        : lipSyncMs > LIP_SYNC.noticeable.lateMs
          ? ["late"]
          : []),
    ...(drifts(job, row) ? ["drifts"] : []),
  ].join(" ");
}

const drifts = (job: Job, { player, leaves }: Arrival): boolean =>
  leaves !== null &&
  (findDevice(job, player)?.habits.some((habit) => habit.habit === "drifts" && habit.codings.includes(leaves.coding)) ?? false);

function looksOf(job: Job): Pick<Seen, "tones" | "glances"> {
  const stood = asItStands(job);
  const rig = makeRig(stood, "planned");
  const system = chosenSoundSystem(stood);
  const isPlaying = system !== undefined && hasPower(system) && effectiveSetting(system, "mute", "planned") !== "on";
  return {
    tones: new Map(system ? unitsOf(system).map(({ id, state }) => [id, isPlaying ? toneOf(state) : "nothing"]) : []),
    glances: new Map([
      ...lamps(job),
      ...panels(rig, job, stood),
      ...redLights(job, stood),
      ...foundLists(stood),
      ...formatLists(rig, stood),
    ]),
  };
}

type Glance = readonly [string, string];
type Standing = Job["devices"][number];

const hasPower = ({ state }: Standing): boolean => state !== "no-power" && state !== "dead";

const lamps = (job: Job): readonly Glance[] =>
  job.devices.map((device) => [
    `lamp:${device.id}`,
    !hasPower(device) ? "off" : effectiveSetting(device, "power", "planned") === "standby" ? "standby" : "on",
  ]);

/** What the sound system's display says at a lead that could bring the return: eARC, ARC or nothing. */
function panels(rig: Rig, job: Job, stood: Job): readonly Glance[] {
  return job.cables.flatMap((cable): Glance[] => {
    const device = findDevice(stood, cable.from.device);
    if (device?.role !== "sound") return [];
    const isThere =
      stood.cables.some(({ id }) => id === cable.id) && hasPower(device) && effectiveSetting(device, "power", "planned") !== "standby";
    const channel = isThere ? returnChannel(rig, cable) : null;
    return [[`panel:${cable.id}`, channel?.kind === "open" ? channel.link : "nothing"]];
  });
}

/** Red light leaves an optical sender that has power, unless its cap is on. */
const redLights = (job: Job, stood: Job): readonly Glance[] =>
  job.cables
    .filter((cable) => cable.class === "optical")
    .map((cable) => {
      const sender = findDevice(stood, cable.from.device);
      return [`red-light:${cable.id}`, sender && hasPower(sender) && stood.cables.some(({ id }) => id === cable.id) ? "light" : "dark"];
    });

/** The devices that a screen finds on HDMI control: those that speak on the same wire. */
function foundLists(stood: Job): readonly Glance[] {
  const { nodes } = networkOf(stood, "planned");
  return nodes
    .filter(({ kind }) => kind === "tv")
    .map((screen): Glance => {
      const found = nodes.filter(({ device, wire, speaks }) => device !== screen.device && wire === screen.wire && speaks);
      return [`found-list:${screen.device}`, !screen.speaks ? "off" : found.map(({ device }) => device).join("+") || "nobody"];
    });
}

/** What a player lists as the sound formats of its HDMI output. */
const formatLists = (rig: Rig, stood: Job): readonly Glance[] =>
  stood.devices
    .filter(({ role }) => role === "player")
    .flatMap((device) =>
      device.ports
        .filter(({ connector, direction }) => connector === "hdmi" && direction === "out")
        .map(({ id }): Glance => {
          const { sounds, unknown } = listingAt(rig, { device: device.id, port: id });
          const list = [...sounds].map(([coding, { channels, objects }]) => `${coding} ${channels}${objects ? " objects" : ""}`);
          return [`format-list:${device.id}:${id}`, unknown ? "not-known" : list.toSorted().join("+") || "nothing"];
        }),
    );
