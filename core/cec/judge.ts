import { actsOf, castOf, hasOwnContents, play, playerAt, screenOfAct, type Act, type Played } from "./acts";
import { inputTowards, isBelow, NOWHERE, ROOT } from "./address";
import { momentsOf } from "./moments";
import { simulate, type Pressed, type Trace } from "./simulate";
import { returnTaker, soundingOf, soundWaysOf, type Cast } from "./sound-of";
import type { Station } from "./station";
import type { Household } from "./stations";

/** What is not as the household wishes it when an act has come to rest. */
export type Miss =
  | { readonly miss: "screen-off"; readonly device: string }
  | { readonly miss: "player-off"; readonly device: string }
  | { readonly miss: "shows-other"; readonly device: string }
  /** What is between player and screen sleeps, and passes no picture then. */
  | { readonly miss: "passes-no-picture"; readonly device: string }
  /** What is between player and screen is on another input, and nobody tells it. */
  | { readonly miss: "hub-elsewhere"; readonly device: string; readonly input: number }
  | { readonly miss: "system-off"; readonly device: string }
  | { readonly miss: "sound-from-screen"; readonly device: string }
  | { readonly miss: "sound-from-system"; readonly device: string }
  | { readonly miss: "no-sound" }
  | { readonly miss: "still-on"; readonly device: string }
  | { readonly miss: "woke"; readonly device: string }
  | { readonly miss: "went-off"; readonly device: string }
  | { readonly miss: "loudness-stays"; readonly device: string };

/** Something a person still has to do, with its own remote or by hand. */
export type HandStep = { readonly device: string; readonly key: Pressed["key"] };

/** How an act goes. Seconds are counted from the first key. */
export type ActVerdict =
  | { readonly verdict: "as-wished" }
  | { readonly verdict: "with-a-step"; readonly misses: readonly Miss[]; readonly steps: readonly HandStep[] }
  | { readonly verdict: "fails"; readonly misses: readonly Miss[] }
  | { readonly verdict: "unstable"; readonly between: readonly string[] };

/** An act played and judged. */
export interface JudgedAct {
  readonly act: Act;
  readonly played: Played;
  readonly verdict: ActVerdict;
  /** Until the wanted picture and sound stay; null: they never come, or the act is about neither. */
  readonly pictureMs: number | null;
  readonly soundMs: number | null;
  /** The remotes that a person takes in the hand, the steps that remain included. */
  readonly remotes: readonly string[];
}

/** Plays and judges an act. Null where the room has nobody for it. */
export function judgeAct(household: Household, act: Act, seed = 1): JudgedAct | null {
  const played = play(household, act, seed);
  return played && judged(household, played, seed);
}

/** A person who knows what else to press does not wait for the first key to have done its work. */
const BETWEEN_KEYS_MS = 2000;

/** The same act where what is left to press is pressed right after its first key. */
export function judgeAtOnce(
  household: Household,
  { played: { act, start, pressed } }: JudgedAct,
  steps: readonly HandStep[],
  seed = 1,
): JudgedAct {
  const keys = [...pressed, ...steps.map((step, index) => ({ ...step, atMs: (index + 1) * BETWEEN_KEYS_MS }))];
  return judged(household, { act, start, pressed: keys, trace: simulate(start, keys, seed) }, seed);
}

function judged(household: Household, played: Played, seed: number): JudgedAct {
  const { act } = played;
  const verdict = verdictOf(household, played, seed);
  const steps = verdict.verdict === "with-a-step" ? verdict.steps : [];
  const course = BRINGS.has(act.act) ? courseOf(household, played) : [];
  return {
    act,
    played,
    verdict,
    pictureMs: act.act === "music" ? null : settledMs(course, (misses) => !misses.some(({ miss }) => PICTURE.has(miss))),
    soundMs: !isAboutSound(household, act)
      ? null
      : settledMs(course, (misses) => !misses.some(({ miss }) => SOUND.has(miss) || PICTURE.has(miss))),
    remotes: [
      ...new Set([...(act.act === "night-update" ? [] : played.pressed.map(({ device }) => device)), ...steps.map(({ device }) => device)]),
    ],
  };
}

/** A screen without apps or a tuner that anybody watches lights up and says nothing. */
function isAboutSound(household: Household, act: Act): boolean {
  if (act.act === "screen-on") return hasOwnContents(household.job, castOf(household).screen);
  return act.act !== "other-screen-on" || hasOwnContents(household.job, household.stations.get(act.device));
}

/** Every act of a room, judged. */
export const judgeAll = (household: Household): readonly JudgedAct[] => actsOf(household).flatMap((act) => judgeAct(household, act) ?? []);

const PICTURE: ReadonlySet<Miss["miss"]> = new Set<Miss["miss"]>([
  "screen-off",
  "player-off",
  "shows-other",
  "passes-no-picture",
  "hub-elsewhere",
]);
/** Sound without the wanted picture is not that of the player. */
const SOUND: ReadonlySet<Miss["miss"]> = new Set<Miss["miss"]>(["system-off", "sound-from-screen", "sound-from-system", "no-sound"]);
const BRINGS: ReadonlySet<Act["act"]> = new Set<Act["act"]>(["screen-on", "other-screen-on", "wake", "choose-input", "news", "music"]);

function verdictOf(household: Household, played: Played, seed: number): ActVerdict {
  const { trace } = played;
  const quarrel = quarrelOf(trace);
  if (trace.restless || quarrel.length) return { verdict: "unstable", between: quarrel };
  const misses = missesOf(household, played, trace.end);
  if (misses.length === 0) return { verdict: "as-wished" };
  const steps = stepsFor(household, played, misses, trace.end);
  if (steps.length === 0) return { verdict: "fails", misses };
  let now = trace.end;
  for (const { device, key } of steps) now = simulate(now, [{ atMs: 0, device, key }], seed).end;
  return missesOf(household, played, now).length ? { verdict: "fails", misses } : { verdict: "with-a-step", misses, steps };
}

const MOST_CLAIMS = 3;

/** Devices that keep taking the screen from each other. */
function quarrelOf({ frames }: Trace): readonly string[] {
  const claims = new Map<string, number>();
  for (const { device, frame } of frames) if (frame.message?.kind === "active-source") claims.set(device, (claims.get(device) ?? 0) + 1);
  return [...claims].filter(([, count]) => count > MOST_CLAIMS).map(([device]) => device);
}

/** What is not as wanted in a state of the room. The brief says from where the news should sound. */
export function missesOf(
  household: Household,
  { act, start }: Pick<Played, "act" | "start">,
  stations: ReadonlyMap<string, Station>,
): readonly Miss[] {
  const { job } = household;
  const cast = castOf({ ...household, stations }, screenOfAct(household, act));
  const { screen, system } = cast;
  switch (act.act) {
    case "screen-on":
      return [...screenMisses(cast), ...(hasOwnContents(job, cast.screen) ? soundMisses(household, cast) : [])];
    case "news":
      return [
        ...screenMisses(cast),
        ...(job.brief.newsFrom === "screen" ? ownSpeakersMisses(household, cast) : soundMisses(household, cast)),
      ];
    case "other-screen-on": {
      const listens = [...soundWaysOf(household.solved.rows, act.device).values()].some((way) => way !== "none");
      const isDeaf = listens && system && system.power !== "on";
      return [...screenMisses(cast), ...(isDeaf ? [{ miss: "system-off", device: system.nature.device } as const] : [])];
    }
    case "wake":
      return [...screenMisses(cast), ...shownMisses(cast, act.device), ...soundMisses(household, cast)];
    case "choose-input": {
      const shown = playerAt(household, screen, act.port);
      return shown
        ? [...screenMisses(cast), ...shownMisses(cast, shown.nature.device), ...soundMisses(household, cast)]
        : screenMisses(cast);
    }
    case "louder":
    case "mute":
      return loudnessMisses(household, castOf({ ...household, stations: start }), stations);
    case "screen-off":
      return [...stations.values()].flatMap((station): Miss[] =>
        station.power === "standby" || station.nature.leftOn ? [] : [{ miss: "still-on", device: station.nature.device }],
      );
    case "put-away":
      // What was being watched and heard goes on, whoever's standby it was.
      return [screen, system].flatMap((station): Miss[] => {
        const id = station?.nature.device;
        return id !== undefined && id !== act.device && start.get(id)?.power === "on" && station?.power !== "on"
          ? [{ miss: "went-off", device: id }]
          : [];
      });
    case "night-update":
      return [...stations.values()].flatMap(({ power, nature }): Miss[] =>
        nature.device !== act.device && power !== "standby" && !nature.leftOn ? [{ miss: "woke", device: nature.device }] : [],
      );
    case "music":
      return [
        ...(system?.power === "on" ? [] : system ? [{ miss: "system-off", device: system.nature.device } as const] : []),
        ...(screen && screen.power !== "standby" ? [{ miss: "woke", device: screen.nature.device } as const] : []),
      ];
    case "wrong-remote":
      return soundingOf(household.soundWays, cast) === "nowhere" ? [{ miss: "no-sound" }] : [];
  }
}

const screenMisses = ({ screen }: Cast): readonly Miss[] =>
  screen && screen.power !== "on" ? [{ miss: "screen-off", device: screen.nature.device }] : [];

function shownMisses({ screen, stations }: Cast, device: string): readonly Miss[] {
  const player = stations.get(device);
  if (!player || !screen) return [];
  const { physical, logical } = player.nature;
  const isAtInput = screen.input === inputTowards(ROOT, physical);
  // A screen that nobody told who is shown is at the input of the hub, and the hub decides.
  const isBehind = physical !== NOWHERE && screen.source !== null && isBelow(physical, screen.source);
  const isShown = isAtInput && (screen.source === physical || logical === null || isBehind);
  return [
    ...(player.power === "on" ? [] : [{ miss: "player-off", device } as const]),
    ...(isShown ? [] : [{ miss: "shows-other", device } as const]),
    ...hubMisses(stations, player),
  ];
}

/** A receiver or bar between player and screen must be awake or pass the picture asleep, and stand at the player's input. */
function hubMisses(stations: Cast["stations"], { nature: { physical, wire } }: Station): readonly Miss[] {
  return [...stations.values()].flatMap(({ nature, power, input }): Miss[] => {
    const isBetween = nature.kind === "audio" && nature.wire === wire && nature.physical !== NOWHERE && isBelow(physical, nature.physical);
    if (!isBetween) return [];
    const own = inputTowards(nature.physical, physical);
    // One on the bus follows by itself; one that takes no part is turned by hand.
    const isElsewhere = nature.logical === null && own !== null && input !== own;
    return [
      ...(power !== "on" && !nature.passesAsleep ? [{ miss: "passes-no-picture", device: nature.device } as const] : []),
      ...(isElsewhere && own !== null ? [{ miss: "hub-elsewhere", device: nature.device, input: own } as const] : []),
    ];
  });
}

function soundMisses({ soundWays }: Household, cast: Cast): readonly Miss[] {
  const { screen, system } = cast;
  if (!system || !screen) return [];
  switch (soundingOf(soundWays, cast)) {
    case "system":
      return [];
    case "screen":
      return [
        system.power === "on"
          ? { miss: "sound-from-screen", device: screen.nature.device }
          : { miss: "system-off", device: system.nature.device },
      ];
    case "nowhere":
      return [system.power === "on" ? { miss: "no-sound" } : { miss: "system-off", device: system.nature.device }];
  }
}

/** Where the volume of the sound system is set: at itself, or at the box that answers for it. */
const loudnessOf = (cast: Cast): Station | undefined =>
  cast.system?.nature.logical === null ? (returnTaker(cast) ?? cast.system) : cast.system;

/** What sounded when the key was pressed is louder, softer or muted now. */
function loudnessMisses({ soundWays }: Household, before: Cast, stations: ReadonlyMap<string, Station>): readonly Miss[] {
  const sounding = soundingOf(soundWays, before);
  const from = sounding === "system" ? loudnessOf(before) : sounding === "screen" ? before.screen : undefined;
  const now = from && stations.get(from.nature.device);
  if (!from || !now) return [{ miss: "no-sound" }];
  return now.volume !== from.volume || now.muted !== from.muted ? [] : [{ miss: "loudness-stays", device: from.nature.device }];
}

const ownSpeakersMisses = ({ soundWays }: Household, cast: Cast): readonly Miss[] =>
  soundingOf(soundWays, cast) === "system" && cast.system ? [{ miss: "sound-from-system", device: cast.system.nature.device }] : [];

/** What a person can press for what is missing; empty where a press does not help. */
function stepsFor(
  household: Household,
  { act, pressed }: Played,
  misses: readonly Miss[],
  stations: ReadonlyMap<string, Station>,
): readonly HandStep[] {
  const { screen, system } = castOf({ ...household, stations }, screenOfAct(household, act));
  const steps = misses.flatMap((miss): HandStep[] => {
    switch (miss.miss) {
      case "screen-off":
      case "player-off":
      case "system-off":
      case "passes-no-picture":
        return [{ device: miss.device, key: { press: "power-on" } }];
      case "hub-elsewhere":
        return [{ device: miss.device, key: { press: "input", input: miss.input } }];
      case "still-on":
      case "woke":
      case "sound-from-system":
        return [{ device: miss.device, key: { press: "power-off" } }];
      case "went-off":
        return [{ device: miss.device, key: { press: "power-on" } }];
      case "sound-from-screen":
      case "no-sound":
        return system?.nature.quirks.has("arc-only-by-hand") && system.power === "on"
          ? [{ device: system.nature.device, key: { press: "begin-return" } }]
          : [];
      case "loudness-stays":
        return pressed.map(({ key }) => ({ device: miss.device, key }));
      case "shows-other": {
        const address = stations.get(miss.device)?.nature.physical;
        const input = screen && address ? inputTowards(ROOT, address) : null;
        return screen && input ? [{ device: screen.nature.device, key: { press: "input", input } }] : [];
      }
      default:
        return [];
    }
  });
  // A key that answers two misses is pressed once.
  const words = steps.map((step) => JSON.stringify(step));
  return steps.filter((_, index) => words.indexOf(words[index] ?? "") === index);
}

/** What is not as wanted at each moment of an act. */
type Course = readonly { readonly tMs: number; readonly misses: readonly Miss[] }[];

const courseOf = (household: Household, played: Played): Course =>
  momentsOf(played).map(({ tMs, stations }) => ({ tMs, misses: missesOf(household, played, stations) }));

/** When the wish began to hold and held to the end. */
function settledMs(course: Course, holds: (misses: readonly Miss[]) => boolean): number | null {
  let since: number | null = null;
  for (const { tMs, misses } of course) {
    if (!holds(misses)) since = null;
    else since ??= tMs;
  }
  return since;
}
