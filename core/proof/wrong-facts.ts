import { QUIRKS, QUIRKS_OF, type Device, type Quirk, type SoundRoute } from "@/core/device";
import type { Coding, SettingKey } from "@/core/facts";
import type { Command, Job } from "@/core/job";

/** One thing of a job that may be otherwise on site, each a single change of the room. */
export type WrongFact =
  /** The setting did not take: it has another value. */
  | { readonly fact: "setting"; readonly device: string; readonly setting: SettingKey; readonly value: string }
  | { readonly fact: "cable-out"; readonly cable: string }
  | { readonly fact: "return-wires"; readonly cable: string; readonly wires: "none" | "arc" }
  | { readonly fact: "no-return"; readonly device: string; readonly port: string; readonly returns: "none" | "arc" }
  /** It hands on only stereo from an input. */
  | { readonly fact: "stereo-only"; readonly device: string; readonly from: string; readonly to: string }
  | { readonly fact: "passes-not"; readonly device: string; readonly coding: Coding }
  | { readonly fact: "decodes-not"; readonly device: string; readonly coding: Coding }
  /** It does on the control bus what its class does not. */
  | { readonly fact: "quirk"; readonly device: string; readonly quirk: Quirk };

/** How common each is on site, most common first; used where several explain the same. Source: the order of causes in the trade. */
const COMMON: Readonly<Record<WrongFact["fact"], number>> = {
  setting: 0,
  "cable-out": 1,
  "return-wires": 2,
  "no-return": 3,
  "stereo-only": 4,
  "passes-not": 5,
  "decodes-not": 6,
  quirk: 7,
};
export const howCommon = ({ fact }: WrongFact): number => COMMON[fact];

/** A habit on the control bus alone moves no sound: every row stays as it is. */
export const bearsOnSound = ({ fact }: WrongFact): boolean => fact !== "quirk";

/** A fact with the edit under which the planned room is as it says, and the edit that notes it in the job. */
export interface FactEdit {
  readonly fact: WrongFact;
  readonly command: Command;
  /** A menu that did not take is noted as left at its value: what was planned stays, and is still to be done. */
  readonly correction: Command;
}

const noted = (fact: WrongFact, command: Command): FactEdit => ({ fact, command, correction: command });

/**
 * Every single fact of a job that could be otherwise, and bear on its sound.
 * @param about whether habits on the control bus count too: they show in everyday acts alone
 */
export const wrongFacts = (job: Job, about: { readonly control: boolean } = { control: false }): readonly FactEdit[] => [
  ...(about.control ? job.devices.flatMap(quirkFacts) : []),
  ...job.devices.flatMap((device) => [...settingFacts(device), ...returnFacts(device), ...routeFacts(device), ...decoderFacts(device)]),
  ...job.cables.flatMap(({ id, returnWires }): FactEdit[] => [
    noted({ fact: "cable-out", cable: id }, { kind: "unplug", cable: id }),
    ...(["none", "arc"] as const)
      .filter((wires) => returnWires === "earc" || (returnWires === "arc" && wires === "none"))
      .map((wires) => noted({ fact: "return-wires", cable: id, wires }, { kind: "edit-cable", cable: id, fields: { returnWires: wires } })),
  ]),
];

const settingFacts = (device: Device): readonly FactEdit[] =>
  device.settings.flatMap(({ key, options, planned, found }) =>
    // A long list of steps is a figure and no choice that is missed.
    options.length > 8
      ? []
      : options
          .filter((value) => value !== (planned ?? found))
          .map((value): FactEdit => {
            const set = { kind: "set-setting", device: device.id, setting: key, value } as const;
            return {
              fact: { fact: "setting", device: device.id, setting: key, value },
              command: { ...set, state: "planned" },
              correction: { ...set, state: "left" },
            };
          }),
  );

const returnFacts = (device: Device): readonly FactEdit[] =>
  device.ports.flatMap((port) =>
    port.connector !== "hdmi" || port.returns === null || port.returns === "none"
      ? []
      : (["none", "arc"] as const)
          .filter((returns) => port.returns === "earc" || returns === "none")
          .map((returns) =>
            noted(
              { fact: "no-return", device: device.id, port: port.id, returns },
              { kind: "edit-port", device: device.id, port: port.id, fields: { returns } },
            ),
          ),
  );

/** What a device hands on: stereo alone from an input, or a coding less everywhere. */
function routeFacts(device: Device): readonly FactEdit[] {
  const sound = device.routes.flatMap((route) => (route.kind === "sound" && !route.to.includes("speakers") ? [route] : []));
  const withRoutes = (change: (route: SoundRoute) => SoundRoute[]): Command => ({
    kind: "edit-device",
    device: device.id,
    fields: { routes: device.routes.flatMap((route): Device["routes"] => (route.kind === "sound" ? change(route) : [route])) },
  });
  const pairs = sound.flatMap((route) => route.from.flatMap((from) => route.to.map((to) => ({ route, from, to }))));
  const codings = [...new Set(sound.flatMap(({ passes }) => passes ?? []).map(({ coding }) => coding))];
  return [
    ...pairs
      .filter(({ route }) => (route.passes?.length ?? 0) > 0 || route.lpcm !== "2.0")
      .map(({ route: found, from, to }) =>
        noted(
          { fact: "stereo-only", device: device.id, from, to },
          withRoutes((route) =>
            route !== found
              ? [route]
              : [...withoutPair(route, from, to), { ...route, from: [from], to: [to], passes: [], lpcm: "2.0", encodes: [] }],
          ),
        ),
      ),
    ...codings.map((coding) =>
      noted(
        { fact: "passes-not", device: device.id, coding },
        withRoutes((route) => [{ ...route, passes: route.passes?.filter((row) => row.coding !== coding) ?? null }]),
      ),
    ),
  ];
}

/** A route without one of its ways. */
function withoutPair(route: SoundRoute, from: string, to: string): SoundRoute[] {
  const [otherFrom, otherTo] = [route.from.filter((one) => one !== from), route.to.filter((one) => one !== to)];
  return [
    ...(otherFrom.length ? [{ ...route, from: otherFrom }] : []),
    ...(otherTo.length ? [{ ...route, from: [from], to: otherTo }] : []),
  ];
}

const quirkFacts = (device: Device): readonly FactEdit[] =>
  QUIRKS.filter((quirk) => QUIRKS_OF[quirk].includes(device.role) && !device.control.quirks.includes(quirk)).map((quirk) =>
    noted(
      { fact: "quirk", device: device.id, quirk },
      { kind: "edit-device", device: device.id, fields: { control: { ...device.control, quirks: [...device.control.quirks, quirk] } } },
    ),
  );

const decoderFacts = (device: Device): readonly FactEdit[] =>
  [...new Set((device.decodes ?? []).map(({ coding }) => coding))].map((coding) =>
    noted(
      { fact: "decodes-not", device: device.id, coding },
      { kind: "edit-device", device: device.id, fields: { decodes: (device.decodes ?? []).filter((row) => row.coding !== coding) } },
    ),
  );

/** The device whose data a fact corrects, as they would be for every one of its class; null: it is a matter of this room alone. */
export function factOfClass(fact: WrongFact): string | null {
  switch (fact.fact) {
    case "no-return":
    case "stereo-only":
    case "passes-not":
    case "decodes-not":
    case "quirk":
      return fact.device;
    case "setting":
    case "cable-out":
    case "return-wires":
      return null;
  }
}

/** Whether the job says so already: a menu that was noted as left at another value than planned. */
export const isNoted = (job: Job, fact: WrongFact): boolean =>
  fact.fact === "setting" &&
  job.devices.find(({ id }) => id === fact.device)?.settings.find(({ key }) => key === fact.setting)?.left === fact.value;
