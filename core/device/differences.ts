import type { Device, Port } from "./device";
import { findArchetype, fromShelfOrThrow } from "./shelf";

/** Something in which a device differs from the archetype it was made from. */
export type Difference =
  | { readonly in: "socket"; readonly port: string; readonly what: "missing" | "added" | "print" | "rate" | "hdcp" | "return" | "other" }
  | { readonly in: "setting"; readonly setting: Device["settings"][number]["key"] }
  | { readonly in: "decoders" | "listing" | "units" | "dials" | "ways" | "speakers" | "picture" | "volume" | "control" };

/** Where a device is no longer as its archetype says; null where it has none. Names, notes and what it plays are its own and do not count. */
export function differencesFromArchetype(device: Device): readonly Difference[] | null {
  if (!device.archetype || !findArchetype(device.archetype)) return null;
  const model = fromShelfOrThrow(device.archetype, { id: device.id });
  const differs = (part: keyof Device) => JSON.stringify(device[part]) !== JSON.stringify(model[part]);
  const whole = [
    ["decodes", "decoders"],
    ["presents", "listing"],
    ["routes", "ways"],
    ["speakers", "speakers"],
    ["units", "units"],
    ["dials", "dials"],
    ["display", "picture"],
    ["volume", "volume"],
    ["speaksCec", "control"],
  ] as const satisfies readonly (readonly [keyof Device, Difference["in"]])[];
  return [
    ...socketDifferences(device.ports, model.ports),
    ...device.settings.flatMap(({ key, found }): Difference[] =>
      model.settings.some((row) => row.key === key && row.found === found) ? [] : [{ in: "setting", setting: key }],
    ),
    ...whole.flatMap(([part, name]): Difference[] => (differs(part) ? [{ in: name }] : [])),
  ];
}

function socketDifferences(ports: readonly Port[], model: readonly Port[]): readonly Difference[] {
  const missing = model.filter(({ id }) => !ports.some((port) => port.id === id));
  return [
    ...missing.map(({ id }): Difference => ({ in: "socket", port: id, what: "missing" })),
    ...ports.flatMap((port): Difference[] => {
      const other = model.find(({ id }) => id === port.id);
      if (!other) return [{ in: "socket", port: port.id, what: "added" }];
      return JSON.stringify(port) === JSON.stringify(other) ? [] : [{ in: "socket", port: port.id, what: whatDiffers(port, other) }];
    }),
  ];
}

function whatDiffers(port: Port, model: Port): Extract<Difference, { in: "socket" }>["what"] {
  if (port.label !== model.label) return "print";
  if (port.connector !== "hdmi" || model.connector !== "hdmi") return "other";
  if (port.returns !== model.returns) return "return";
  if (port.maxGbps !== model.maxGbps) return "rate";
  return port.hdcp === model.hdcp ? "other" : "hdcp";
}
