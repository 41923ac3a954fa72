import {
  makeRig,
  bestUpperBound,
  picturesAsWired,
  rowQuestions,
  screensInReach,
  scoreStream,
  systemOf,
  type Freedom,
  type Question,
  type Rig,
  type RowQuestions,
  type Solved,
  type SolvedUnit,
  scorePicture,
} from "@/core/chain";
import type { Device } from "@/core/device";
import type { SettingKey } from "@/core/facts";
import { present } from "@/core/outcome";
import { applyCommand, chosenSoundSystem, findDevice, type Job } from "@/core/job";
import { CHANGE_COST, type Change, type ChangeKind } from "./changes";
import { bestPictureByPlugs, bestPictureScore } from "./picture-bound";
import { ANY_SCREEN, higherOf, isAtLeast, screensOf, worthOf, type UnitWorth } from "./row-worth";
import { wishedScore } from "./wished";

/** How high the rows of each content can stand, in the search for the smallest set of changes. */
export interface Bounds {
  /** The contents of the job as the search found it. */
  readonly units: readonly string[];
  worth(solved: Solved, unit: SolvedUnit): UnitWorth;
  /** What a content was worth when the search began: no set makes less of it. */
  least(unit: string): UnitWorth;
  /** No set of changes makes more of a content than this. */
  ever(unit: string): UnitWorth;
  /** No further change makes more of it where some answers stay as they are; a box may still come where `boxes` says so. */
  whileFixed(room: Room, unit: SolvedUnit, kept: Kept): UnitWorth;
  /** What the sound and the picture of a content rest on. */
  questions(room: Room, unit: SolvedUnit): RowQuestions;
  /** The least that is still to be paid to lift a content to a worth. */
  leastCost(room: Room, unit: SolvedUnit, goal: UnitWorth): number;
}

/** What stays as it is in a part of all sets. */
export interface Kept {
  /** Questions that no further change gives another answer to. */
  readonly fixed: ReadonlySet<Question>;
  /** Sockets whose plugs were decided, though their cables may be changed for better ones. */
  readonly plugged: ReadonlySet<Question>;
  /** A box may still come. */
  readonly boxes: boolean;
}

/** A solved job and what is asked of it. */
export interface Room {
  readonly solved: Solved;
  readonly rig: Rig;
}

/** Upper bounds of every row: of the gear as it is, and with one of the boxes at hand in any of its places. */
export function makeBounds(start: Solved, kinds: readonly ChangeKind[], boxes: readonly Change[] = []): Bounds {
  const free: Freedom = { plugs: kinds.includes("plug"), cables: kinds.includes("cable") };
  const screens = new Map(start.units.map((unit) => [unit.key, screensOf(start.job, unit)]));
  const rooms = [start.job, ...boxes.flatMap(({ command }) => appliedTo(start.job, command))];
  const bounds = new Map(
    start.units.map((unit) => {
      const bound = rooms.map((job) => boundIn(job, makeRig(job, start.state), unit, free, screens.get(unit.key) ?? []));
      return [unit.key, bound.reduce(higherOf)] as const;
    }),
  );
  const boundOf = ({ key }: SolvedUnit): UnitWorth => present(bounds.get(key), "the bound of a content");
  const worth = (solved: Solved, unit: SolvedUnit): UnitWorth => worthOf(solved.job, unit.rows, screens.get(unit.key) ?? []);
  const evers = new Map(start.units.map((unit) => [unit.key, higherOf(worth(start, unit), boundOf(unit))]));
  const ever = (unit: string): UnitWorth => present(evers.get(unit), "the most that a content can be worth");
  const starts = new Map(start.units.map((unit) => [unit.key, worth(start, unit)]));
  const least = (unit: string): UnitWorth => present(starts.get(unit), "a content of the start");
  const byFixed = new Map<string, number>();
  const bySettings = new WeakMap<Job["cables"], Map<string, number>>();
  return {
    units: start.units.map(({ key }) => key),
    worth,
    least,
    ever,
    questions: questionsOf,
    whileFixed: (room, unit, { fixed, plugged, boxes: canHaveBox }) => {
      const { solved, rig } = room;
      const now = worth(solved, unit);
      const most = ever(unit.key);
      if (isAtLeast(now, most) || isSubset(unit.asked.questions, fixed)) return now;
      const asked = questionsOf(room, unit);
      const isSeen = isSubset(asked.picture, fixed);
      const pictures = isSeen
        ? now.pictures
        : canHaveBox
          ? most.pictures
          : inReach(room, unit, most.pictures, new Set([...fixed, ...plugged]));
      const withPictures = higherOf({ sound: most.sound, pictures }, now);
      if (isSubset(asked.sound, fixed)) return { ...withPictures, sound: now.sound };
      // Where a screen is already out of reach, nobody asks for the sound.
      if (canHaveBox || now.sound >= most.sound || !isAtLeast(withPictures, least(unit.key))) return withPictures;
      // While every plug and cable is free, only what is fixed tells two rooms apart.
      const key = free.plugs && free.cables ? `${unit.key} ${answersTo(rig, fixed)} ${answersTo(rig, plugged)}` : null;
      const sound = (key === null ? undefined : byFixed.get(key)) ?? soundBound(solved.job, rig, unit, { ...free, fixed, plugged });
      if (key !== null) byFixed.set(key, sound);
      return { ...withPictures, sound: Math.max(now.sound, Math.min(most.sound, sound)) };
    },
    leastCost: (room, unit, goal) => {
      const { solved, rig } = room;
      const now = worth(solved, unit);
      if (isAtLeast(now, goal)) return 0;
      const dearer = kinds.includes("plug") ? CHANGE_COST.plug : CHANGE_COST.cable;
      const shown = [...goal.pictures].every(([screen, picture]) => asWired(room, unit, screen) >= picture);
      if (!shown) {
        const moved = [...goal.pictures].every(([screen, picture]) => byPlugs(room, unit, screen) >= picture);
        return moved ? dearer : CHANGE_COST.cable;
      }
      if (now.sound >= goal.sound) return CHANGE_COST.setting;
      const wired = bySettings.get(solved.job.cables) ?? new Map<string, number>();
      bySettings.set(solved.job.cables, wired);
      const known = wired.get(unit.key) ?? soundBound(solved.job, rig, unit, { plugs: false, cables: false });
      wired.set(unit.key, known);
      return known >= goal.sound ? CHANGE_COST.setting : dearer;
    },
  };
}

function playerOf({ rig }: Room, { rows }: SolvedUnit) {
  const row = rows[0];
  const player = row && rig.atWill(row.player);
  const source = player?.sources.find(({ id }) => id === row?.source);
  return row && player && source ? { player, source, content: row.content } : null;
}

function questionsOf(room: Room, unit: SolvedUnit): RowQuestions {
  const known = rowsAsked.get(unit);
  if (known) return known;
  const plays = playerOf(room, unit);
  const found = plays
    ? rowQuestions(room.rig, plays.player, plays.source, plays.content)
    : { sound: unit.asked.questions, picture: unit.asked.questions };
  rowsAsked.set(unit, found);
  return found;
}
/** A solved unit is never changed in place, and is kept while none of its answers changes. */
const rowsAsked = new WeakMap<SolvedUnit, RowQuestions>();

/** The pictures on screens that the player can still reach. */
function inReach(room: Room, unit: SolvedUnit, pictures: UnitWorth["pictures"], fixed: ReadonlySet<Question>): UnitWorth["pictures"] {
  const plays = playerOf(room, unit);
  if (!plays) return pictures;
  const screens = screensInReach(room.rig, plays.player, plays.source.id, fixed);
  return new Map(
    [...pictures].map(([screen, picture]) => [screen, (screen === ANY_SCREEN ? screens.size > 0 : screens.has(screen)) ? picture : 0]),
  );
}

/** The best that plugs and settings could make of a picture with the cables there are. */
function byPlugs(room: Room, unit: SolvedUnit, screen: string): number {
  const plays = playerOf(room, unit);
  const { devices } = room.solved.job;
  const screens = devices.filter(({ id, display }) => display !== null && (screen === ANY_SCREEN || id === screen));
  return plays ? Math.max(0, ...screens.map((one) => bestPictureByPlugs(room.solved.job, plays.player, plays.content, one))) : 0;
}

/** The best that settings alone could make of a picture as everything is plugged. */
function asWired(room: Room, unit: SolvedUnit, screen: string): number {
  const plays = playerOf(room, unit);
  if (!plays) return 0;
  const shown = picturesAsWired(room.rig, plays.player, plays.source.id, plays.content, screen);
  return Math.max(0, ...shown.map(({ picture, losses }) => scorePicture(picture, losses)));
}

const appliedTo = (job: Job, command: Change["command"]): readonly Job[] => {
  const applied = applyCommand(job, command);
  return applied.ok ? [applied.value.job] : [];
};

/** What is answered now to questions about settings and sockets, in words. */
function answersTo(rig: Rig, questions: ReadonlySet<Question>): string {
  const known = wordsOf.get(questions);
  if (known) return known;
  const words = [...questions]
    .toSorted()
    .map((question) => {
      const [about, id = "", what = ""] = question.split(" ");
      if (about === "cable") {
        const cable = rig.cableAt({ device: id, port: what });
        return cable
          ? `${question}=${cable.from.device} ${cable.from.port} ${cable.to.device} ${cable.to.port} ${cable.returnWires} ${String(cable.controlWire)}`
          : question;
      }
      const device = about === "setting" ? rig.atWill(id) : undefined;
      return device ? `${question}=${rig.setting(device, what as SettingKey)}` : question;
    })
    .join("|");
  wordsOf.set(questions, words);
  return words;
}
/** Answers to fixed questions do not change in any room that keeps them fixed. */
const wordsOf = new WeakMap<ReadonlySet<Question>, string>();

function isSubset(asked: ReadonlySet<Question>, fixed: ReadonlySet<Question>): boolean {
  for (const question of asked) if (!fixed.has(question)) return false;
  return true;
}

function boundIn(job: Job, rig: Rig, unit: SolvedUnit, freedom: Freedom, screens: readonly string[]): UnitWorth {
  const row = unit.rows[0];
  const player = row && findDevice(job, row.player);
  if (!row || !player) return { sound: 0, pictures: new Map(screens.map((screen) => [screen, 0])) };
  const shown = (screen: string) =>
    Math.max(
      0,
      ...job.devices
        .filter(({ id, display }) => display !== null && (screen === ANY_SCREEN || id === screen))
        .map((device) => bestPictureScore(player, row.content, device)),
    );
  return { sound: soundBound(job, rig, unit, freedom), pictures: new Map(screens.map((screen) => [screen, shown(screen)])) };
}

/** The best sound that a content could have at any system it may be meant for. */
function soundBound(job: Job, rig: Rig, { rows }: SolvedUnit, freedom: Freedom): number {
  const row = rows[0];
  const player = row && rig.atWill(row.player);
  if (!row || !player) return 0;
  const { content, source } = row;
  const scores = systemsFor(job, player, row.content).map((system) =>
    wishedScore(job, scoreStream(bestUpperBound(rig, { player, source, content, system, freedom }), content, system)),
  );
  return Math.max(0, ...scores);
}

/** The systems a content could be meant for: which screen it then shows on is not known, so each counts. */
function systemsFor(job: Job, player: Device, content: Parameters<typeof systemOf>[2]): readonly Device[] {
  const system = chosenSoundSystem(job);
  const meant = job.devices.map((screen) => systemOf(job, player, content, screen.display ? screen : undefined, system));
  return [...new Set(meant)].flatMap((device) => device ?? []);
}
