import { householdOf, relianceOf, type Household } from "@/core/cec";
import { unitsOf } from "@/core/device";
import { finderOf, type FirmFaults } from "@/core/diagnose";
import { chosenSoundSystem, type Job } from "@/core/job";
import { roomAnswer, type RoomAnswer } from "@/core/room";
import { deviceName } from "@/core/text";
import { choiceLines } from "./choice-lines";
import { linesOfUse, waysOfUse } from "./how-to-use";
import { leftOn, type LeftOn } from "./left-on";
import { notExpected } from "./not-expected";
import { displayFact } from "./on-the-display";
import { silentLines } from "./sheet-checks";
import type { HouseholdSheet, SheetFact, SheetLine, SheetSection } from "./sheet-facts";
import { sheetLine } from "./sheet-line";
import { playersInUse } from "./used-players";

/** What the sheet takes from outside the job. */
export interface SheetSource {
  readonly firm: { readonly name: string; readonly phone: string };
  /** What the firm's own searches say of how often each fault happens; null: the checks are the plainest ones. */
  readonly faults: FirmFaults | null;
}

/** In larger rooms playing every fault takes seconds: there the checks are the plainest ones. */
const MOST_DEVICES_TO_SEARCH = 24;

/** The sheet of a household, from the job as it is planned. Up to a second where faults are played: it belongs in a worker or on the server. */
export function householdSheet(job: Job, { firm, faults }: SheetSource): HouseholdSheet {
  const household = householdOf(job, "planned");
  const players = playersInUse(household);
  const ways = waysOfUse(household, players);
  const stays = leftOn(household);
  const finder = faults && job.devices.length <= MOST_DEVICES_TO_SEARCH && players.length ? finderOf(job, faults) : null;
  const rooms = job.rooms.map((room) => roomAnswer(job, room));
  const sections: readonly SheetSection[] = [
    { id: "use", lines: linesOfUse(household, players, ways) },
    { id: "silent", lines: players.length ? silentLines(job, finder, firm) : [] },
    { id: "sound", lines: choiceLines(household, players, ways) },
    { id: "surround", lines: [...displayLines(household), ...notExpected(job, players)] },
    { id: "speech", lines: speechLines(job, rooms) },
    { id: "lamps", lines: lampLines(job, stays) },
    { id: "charging", lines: chargeLines(rooms) },
    { id: "stays-on", lines: stayLines(household, stays) },
  ];
  return { room: job.name, sections: sections.filter(({ lines }) => lines.length > 0) };
}

const sentence = (id: string, fact: SheetFact): SheetLine => sheetLine("sentence", id, fact);

/** Where it can be read that surround arrives: one line for each thing that the display says. */
function displayLines({ job, solved }: Household): readonly SheetLine[] {
  const facts = new Map<string, Extract<SheetFact, { says: "display" }>>();
  for (const row of solved.rows) {
    const fact = displayFact(job, row);
    if (!fact) continue;
    const key = `${fact.words} ${fact.system}`;
    const known = facts.get(key);
    facts.set(key, { ...fact, players: [...new Set([...(known?.players ?? []), ...fact.players])] });
  }
  const all = [...facts.values()];
  return all.map((fact, index) => {
    // A second sound system may say the same.
    const isSecond = all.findIndex(({ words }) => words === fact.words) < index;
    return sentence(`display ${fact.words}${isSecond ? ` ${fact.system}` : ""}`, fact);
  });
}

function speechLines(job: Job, rooms: readonly RoomAnswer[]): readonly SheetLine[] {
  const system = chosenSoundSystem(job);
  const room = rooms.find(({ scene }) => scene.room.id === system?.room) ?? rooms[0];
  const steps = room?.systems.find(({ device }) => device === system?.id)?.speech;
  if (!system || !steps?.length) return [];
  const device = system.name;
  return [
    sentence("speech order", { says: "speech-order" }),
    ...steps.slice(0, MOST_SPEECH_STEPS).map((step): SheetLine => {
      const fact: SheetFact =
        step.act === "voice-mode"
          ? { says: "speech", act: step.act, device }
          : { says: "speech", act: step.act, device, steps: Math.abs(step.db) };
      return sheetLine("step", `speech ${step.act}`, fact);
    }),
  ];
}

const MOST_SPEECH_STEPS = 3;

function lampLines(job: Job, stays: readonly LeftOn[]): readonly SheetLine[] {
  return job.devices.flatMap((device): SheetLine[] => [
    ...unitsOf(device).flatMap((unit) =>
      unit.feed.feed === "wireless" ? [sentence(`lamp ${device.id} ${unit.id}`, { says: "lamp-unit", unit: unit.name })] : [],
    ),
    ...(device.role === "box" && stays.some((one) => one.device === device)
      ? [
          sentence(`lamp ${device.id}`, {
            says: "lamp-box",
            device: device.name,
            searches: device.settings.some(({ key }) => key === "arc-take"),
          }),
        ]
      : []),
  ]);
}

const chargeLines = (rooms: readonly RoomAnswer[]): readonly SheetLine[] =>
  rooms.flatMap(({ charging }) =>
    charging.map(({ one, hours, chargeHours, days }) =>
      sentence(`charge ${one.device.id} ${one.unit.id}`, {
        says: "charge",
        unit: one.unit.name,
        everyDays: days === null ? null : Math.floor(days),
        hours,
        chargeHours,
      }),
    ),
  );

const DOES: readonly LeftOn["does"][] = ["passes-sound", "passes-picture", "plays"];

/** What must stay as it is: what nobody switches on, and HDMI control where the sound rests on it. */
function stayLines(household: Household, stays: readonly LeftOn[]): readonly SheetLine[] {
  const { job } = household;
  const name = (id: string) => deviceName(job, id);
  return [
    ...DOES.flatMap((does) => {
      const devices = stays.flatMap((one) => (one.does === does ? [one.device.name] : []));
      return devices.length ? [sentence(`stays-on ${does === "passes-sound" ? "boxes" : does}`, { says: "stays-on", devices, does })] : [];
    }),
    ...relianceOf(household).map(({ screen, taker, players }, index) =>
      sentence(`stays-on control${index ? ` ${screen} ${taker}` : ""}`, {
        says: "control-stays",
        devices: [name(screen), name(taker)],
        sound: players.map(name),
      }),
    ),
  ];
}
