import type { Device, SoundRoute } from "@/core/device";
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
  | { readonly fact: "decodes-not"; readonly device: string; readonly coding: Coding };

/** How common each is on site, most common first; used where several explain the same. Source: the order of causes in the trade. */
const COMMON: Readonly<Record<WrongFact["fact"], number>> = {
  setting: 0,
  "cable-out": 1,
  "return-wires": 2,
  "no-return": 3,
  "stereo-only": 4,
  "passes-not": 5,
  "decodes-not": 6,
};
export const howCommon = ({ fact }: WrongFact): number => COMMON[fact];

/** A fact with the edit that makes the job say so. */
export interface FactEdit {
  readonly fact: WrongFact;
  readonly command: Command;
}

/** Every single fact of a job that could be otherwise, and bear on its sound. */
export const wrongFacts = (job: Job): readonly FactEdit[] => [
  ...job.devices.flatMap((device) => [...settingFacts(device), ...returnFacts(device), ...routeFacts(device), ...decoderFacts(device)]),
  ...job.cables.flatMap(({ id, returnWires }): FactEdit[] => [
    { fact: { fact: "cable-out", cable: id }, command: { kind: "unplug", cable: id } },
    ...(["none", "arc"] as const)
      .filter((wires) => returnWires === "earc" || (returnWires === "arc" && wires === "none"))
      .map((wires): FactEdit => ({
        fact: { fact: "return-wires", cable: id, wires },
        command: { kind: "edit-cable", cable: id, fields: { returnWires: wires } },
      })),
  ]),
];

const settingFacts = (device: Device): readonly FactEdit[] =>
  device.settings.flatMap(({ key, options, planned, found }) =>
    // A long list of steps is a figure and no choice that is missed.
    options.length > 8
      ? []
      : options
          .filter((value) => value !== (planned ?? found))
          .map((value): FactEdit => ({
            fact: { fact: "setting", device: device.id, setting: key, value },
            command: { kind: "set-setting", device: device.id, setting: key, state: "planned", value },
          })),
  );

const returnFacts = (device: Device): readonly FactEdit[] =>
  device.ports.flatMap((port) =>
    port.connector !== "hdmi" || port.returns === null || port.returns === "none"
      ? []
      : (["none", "arc"] as const)
          .filter((returns) => port.returns === "earc" || returns === "none")
          .map((returns): FactEdit => ({
            fact: { fact: "no-return", device: device.id, port: port.id, returns },
            command: { kind: "edit-port", device: device.id, port: port.id, fields: { returns } },
          })),
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
      .map(({ route: found, from, to }): FactEdit => ({
        fact: { fact: "stereo-only", device: device.id, from, to },
        command: withRoutes((route) =>
          route !== found
            ? [route]
            : [...withoutPair(route, from, to), { ...route, from: [from], to: [to], passes: [], lpcm: "2.0", encodes: [] }],
        ),
      })),
    ...codings.map((coding): FactEdit => ({
      fact: { fact: "passes-not", device: device.id, coding },
      command: withRoutes((route) => [{ ...route, passes: route.passes?.filter((row) => row.coding !== coding) ?? null }]),
    })),
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

const decoderFacts = (device: Device): readonly FactEdit[] =>
  [...new Set((device.decodes ?? []).map(({ coding }) => coding))].map((coding): FactEdit => ({
    fact: { fact: "decodes-not", device: device.id, coding },
    command: { kind: "edit-device", device: device.id, fields: { decodes: (device.decodes ?? []).filter((row) => row.coding !== coding) } },
  }));
