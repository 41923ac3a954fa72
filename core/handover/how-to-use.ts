import { castOf, judgeAct, judgeAtOnce, staysOnAfterOff, type Act, type HandStep, type Household, type JudgedAct } from "@/core/cec";
import { deviceName, socketLabel } from "@/core/text";
import { pressAt, pressesByHand } from "./hand-path";
import { otherScreenLines } from "./other-screens";
import type { SheetFact, SheetKey, SheetLine, SheetPress, UsedPlayer } from "./sheet-facts";
import { sheetLine } from "./sheet-line";
import type { PlayerRows } from "./used-players";
import { volumeLines } from "./volume-lines";

const nameOf = ({ job }: Household, id: string): string => deviceName(job, id);

/** A key of the control bus as it is printed on the sheet. */
function keyOf({ job, network }: Household, { device, key }: HandStep): SheetKey {
  switch (key.press) {
    case "power-on":
    case "power-off":
      return { key: "power" };
    case "begin-return":
      return { key: "return" };
    case "input": {
      const inputs = network.nodes.find((node) => node.device === device)?.inputs ?? [];
      const port = key.input === null ? undefined : inputs[key.input - 1];
      return { key: "input", input: port === undefined ? null : socketLabel(job, { device, port }) };
    }
    default:
      return { key: key.press };
  }
}

const pressOf = (household: Household, step: HandStep): SheetPress => pressAt(household.job, step.device, keyOf(household, step));

/** Devices that came on by themselves in an act. */
function wokenBy(household: Household, { played }: JudgedAct): readonly string[] {
  const pressed = new Set(played.pressed.map(({ device }) => device));
  return [...played.trace.end.values()].flatMap(({ nature, power }) => {
    const before = played.start.get(nature.device);
    const came = power === "on" && before?.power !== "on" && !nature.leftOn && !pressed.has(nature.device);
    return came ? [nameOf(household, nature.device)] : [];
  });
}

/** What comes on by itself, and how long it takes, in whole seconds, until there is picture or sound; nothing where there is neither. */
function wakesOf(household: Household, judged: JudgedAct): readonly WakesFact[] {
  const { pictureMs, soundMs } = judged;
  const devices = wokenBy(household, judged);
  const ms = Math.max(pictureMs ?? 0, soundMs ?? 0);
  const seconds = ms > 1000 ? Math.ceil(ms / 1000) : null;
  const until = pictureMs === null ? "sound" : soundMs === null ? "picture" : "both";
  return devices.length || seconds !== null ? [{ says: "wakes", devices, seconds, until }] : [];
}

type WakesFact = Extract<SheetFact, { says: "wakes" }>;

/** The act, with the power keys that it still takes pressed at once where that goes as well: nobody waits for one device to switch on the next. */
function poweredAtOnce(household: Household, judged: JudgedAct): JudgedAct {
  const powers = judged.verdict.verdict === "with-a-step" ? judged.verdict.steps.filter(({ key }) => key.press === "power-on") : [];
  const atOnce = powers.length ? judgeAtOnce(household, judged, powers) : judged;
  return isGood(atOnce) ? atOnce : judged;
}

const isGood = ({ verdict: { verdict } }: JudgedAct): boolean => verdict !== "fails" && verdict !== "unstable";

/** How some players are used. */
export interface WayOfUse {
  readonly players: readonly UsedPlayer[];
  readonly id: string;
  readonly facts: readonly SheetFact[];
  /** Its own power key comes first, and control does the rest or says what is left. */
  readonly beginsWithOwnKey: boolean;
}

/** The act that begins the use of a player: its own key wakes it; a screen with its own contents is switched on. */
function actOf(household: Household, { device, isScreen, uses }: PlayerRows): Act | null {
  const { screen, system } = castOf(household);
  if (device === system?.nature.device) return { act: "music" };
  if (device === screen?.nature.device) return uses.includes("tv") ? { act: "news" } : { act: "screen-on" };
  if (isScreen) return { act: "other-screen-on", device };
  return household.stations.has(device) ? { act: "wake", device } : null;
}

function wayOf(household: Household, used: PlayerRows): WayOfUse {
  const players = [{ player: nameOf(household, used.device), uses: used.uses }];
  const act = actOf(household, used);
  const first = act && judgeAct(household, act);
  if (!first || !isGood(first)) {
    const presses = pressesByHand(household, used.device, used.rows);
    return { players, id: used.device, facts: presses.map((press): SheetFact => ({ says: "press", press })), beginsWithOwnKey: false };
  }
  const judged = poweredAtOnce(household, first);
  const pressFact = (step: HandStep): SheetFact => ({ says: "press", press: pressOf(household, step) });
  const { pressed } = judged.played;
  const then = judged.verdict.verdict === "with-a-step" ? judged.verdict.steps : [];
  return {
    players,
    id: used.device,
    facts: [...pressed.map(pressFact), ...wakesOf(household, judged), ...then.map(pressFact)],
    beginsWithOwnKey: act?.act === "wake",
  };
}

/** All that follows the first key, but for how long it takes. */
const restOf = ({ facts: [, ...rest] }: WayOfUse): string =>
  JSON.stringify(rest.map((fact) => (fact.says === "wakes" ? { ...fact, seconds: null } : fact)));

/** Players after whose own power key all goes the same share their lines; the time is that of the slowest. */
function together(ways: readonly WayOfUse[]): readonly WayOfUse[] {
  const groups = new Map<string, WayOfUse[]>();
  for (const way of ways) {
    const key = way.beginsWithOwnKey ? restOf(way) : `alone ${way.id}`;
    groups.set(key, [...(groups.get(key) ?? []), way]);
  }
  return [...groups.values()].flatMap((group): WayOfUse[] => {
    const [first] = group;
    if (!first || group.length === 1) return group;
    const slowest = Math.max(
      0,
      ...group.flatMap(({ facts }) => facts.flatMap((fact) => (fact.says === "wakes" ? (fact.seconds ?? 0) : []))),
    );
    const rest = first.facts.slice(1).map((fact): SheetFact => (fact.says === "wakes" ? { ...fact, seconds: slowest || null } : fact));
    return [
      {
        ...first,
        players: group.flatMap(({ players }) => players),
        facts: [{ says: "press-own-power" }, ...rest],
        id: group.map(({ id }) => id).join("+"),
      },
    ];
  });
}

/** How each player is used: which remote, which key, what comes on by itself, how long to wait. */
export const waysOfUse = (household: Household, players: readonly PlayerRows[]): readonly WayOfUse[] =>
  players.map((used) => wayOf(household, used));

/** The lines of each way, then those of volume and off. */
export function linesOfUse(household: Household, players: readonly PlayerRows[], ways: readonly WayOfUse[]): readonly SheetLine[] {
  return [
    ...together(ways).flatMap((way): SheetLine[] => [
      sheetLine("head", `use ${way.id}`, { says: "use", players: way.players }),
      ...way.facts.map((fact, index) => sheetLine("step", `use ${way.id} ${index + 1}`, fact)),
    ]),
    ...otherScreenLines(household, players),
    ...volumeLines(household.job, players),
    ...offLines(household, players),
  ];
}

/** The key that ends it all, and what goes off by its own key alone: what control leaves on, and what no control wire reaches. */
function offLines(household: Household, players: readonly PlayerRows[]): readonly SheetLine[] {
  const screen = castOf(household).screen?.nature.device;
  if (screen === undefined) return [];
  const apart = players.flatMap(({ device, isScreen }) => (isScreen || household.stations.has(device) ? [] : [device]));
  const stays = [...new Set([...staysOnAfterOff(household), ...apart])].map((device) => nameOf(household, device));
  return [sheetLine("sentence", "use off", { says: "off", press: pressAt(household.job, screen, { key: "power" }), stays })];
}
