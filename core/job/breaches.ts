import type { Condition, Device } from "@/core/device";
import { Brief, wishedDevices } from "./brief";
import type { Job } from "./job";
import type { Refusal } from "./refusal";
import { whyNotCable } from "./why-not-plug";

/** A rule of the document that does not hold, and where. */
export type Breach = { readonly place: readonly (string | number)[] } & (
  | Refusal
  | { readonly code: "id-twice"; readonly id: string }
  | { readonly code: "unknown-terminal"; readonly terminal: string }
  | { readonly code: "unknown-unit"; readonly unit: string }
);

/** Every rule of the job document that the schema alone cannot see. An empty list means the document is sound. */
export function breachesOf(job: Job): readonly Breach[] {
  const breaches: Breach[] = (["devices", "rooms", "notes", "snapshots", "attachments"] as const).flatMap((rows) =>
    idsTwice(job[rows], [rows]),
  );
  job.devices.forEach((device, index) => breaches.push(...deviceBreaches(device, ["devices", index])));
  breaches.push(...briefBreaches(job), ...roomBreaches(job), ...spaceBreaches(job));
  job.snapshots.forEach((snapshot, index) => {
    const then: Job = { ...job, devices: snapshot.devices, cables: snapshot.cables, snapshots: [], brief: emptyBrief(), rooms: [] };
    breaches.push(...breachesOf(withoutRooms(then)).map((breach) => ({ ...breach, place: ["snapshots", index, ...breach.place] })));
  });
  // Cables are laid one after the other, so that the later of two in a socket is the one named.
  let laid: Job = { ...job, cables: [] };
  job.cables.forEach((cable, index) => {
    const refusal = whyNotCable(laid, cable);
    if (refusal) breaches.push({ ...refusal, place: ["cables", index, ...placeInCable(refusal, cable.from)] });
    else laid = { ...laid, cables: [...laid.cables, cable] };
  });
  return breaches;
}

const emptyBrief = (): Brief => Brief.parse({});
/** Rooms may have been given up since a state was kept. */
const withoutRooms = (job: Job): Job => ({ ...job, devices: job.devices.map((device) => ({ ...device, room: null })) });

function briefBreaches({ brief, ...job }: Job): Breach[] {
  const named = [
    { id: brief.soundSystem, place: ["brief", "soundSystem"] },
    ...brief.mustStay.map((id, index) => ({ id, place: ["brief", "mustStay", index] })),
    ...wishedDevices(brief).map(({ device, place }) => ({ id: device, place })),
  ];
  return named.flatMap(({ id, place }): Breach[] =>
    id !== null && !job.devices.some((device) => device.id === id) ? [{ code: "no-such-device", device: id, place }] : [],
  );
}

function roomBreaches(job: Job): Breach[] {
  const rooms = new Set(job.rooms.map(({ id }) => id));
  const named = [
    ...job.devices.map(({ room }, index) => ({ room, place: ["devices", index, "room"] })),
    ...job.brief.runs.flatMap(({ between }, index) =>
      between.map((room, end) => ({ room, place: ["brief", "runs", index, "between", end] })),
    ),
  ];
  return named.flatMap(({ room, place }): Breach[] => (room !== null && !rooms.has(room) ? [{ code: "no-such-room", room, place }] : []));
}

/** Within one room the seats and the things in it have names of their own. */
function spaceBreaches({ rooms }: Job): Breach[] {
  return rooms.flatMap(({ space }, index) =>
    space === null
      ? []
      : (["seats", "obstacles", "outlets"] as const).flatMap((rows) => idsTwice(space[rows], ["rooms", index, "space", rows])),
  );
}

function placeInCable(refusal: Refusal, from: { device: string; port: string }): readonly string[] {
  if (refusal.code === "id-taken") return ["id"];
  if (refusal.code === "cable-does-not-fit" || refusal.code === "neighbour-covered") return ["class"];
  if ("end" in refusal) return [refusal.end.device === from.device && refusal.end.port === from.port ? "from" : "to", "port"];
  if (refusal.code === "no-such-device") return [refusal.device === from.device ? "from" : "to", "device"];
  return [];
}

function idsTwice(rows: readonly { readonly id: string }[], place: readonly (string | number)[]): Breach[] {
  const seen = new Set<string>();
  return rows.flatMap(({ id }, index): Breach[] => {
    if (seen.has(id)) return [{ code: "id-twice", id, place: [...place, index, "id"] }];
    seen.add(id);
    return [];
  });
}

/** The rules that hold within one device. */
export function deviceBreaches(device: Device, place: readonly (string | number)[]): Breach[] {
  const terminals = new Set([...device.ports.map(({ id }) => id), ...device.sources.map(({ id }) => id), "speakers", "display"]);
  const ports = new Set(device.ports.map(({ id }) => id));
  const breaches = [...idsTwice([...device.ports, ...device.sources], [...place, "ports"]), ...unitBreaches(device, place)];
  device.routes.forEach((route, row) =>
    (["from", "to"] as const).forEach((side) =>
      route[side].forEach((terminal, index) => {
        if (!terminals.has(terminal)) breaches.push({ code: "unknown-terminal", terminal, place: [...place, "routes", row, side, index] });
      }),
    ),
  );
  for (const { condition, at } of conditionsIn(device))
    breaches.push(...conditionBreaches(device, condition).map((breach): Breach => ({ ...breach, place: [...place, ...at] })));
  device.presents.forEach((rule, row) => {
    rule.ports.forEach((terminal, index) => {
      if (!ports.has(terminal)) breaches.push({ code: "unknown-terminal", terminal, place: [...place, "presents", row, "ports", index] });
    });
    if (rule.rule === "list" && rule.widenedBy && !ports.has(rule.widenedBy)) {
      breaches.push({ code: "unknown-terminal", terminal: rule.widenedBy, place: [...place, "presents", row, "widenedBy"] });
    }
  });
  device.settings.forEach((setting, row) => {
    if (device.settings.findIndex(({ key }) => key === setting.key) < row) {
      breaches.push({ code: "id-twice", id: setting.key, place: [...place, "settings", row, "key"] });
    }
    for (const state of ["found", "planned", "left"] as const) {
      const value = setting[state];
      if (value !== null && !setting.options.includes(value)) {
        breaches.push({
          code: "no-such-option",
          device: device.id,
          setting: setting.key,
          value,
          place: [...place, "settings", row, state],
        });
      }
    }
  });
  return breaches;
}

/** Units have names of their own, and a lead begins at another unit of the same device. */
function unitBreaches({ units }: Device, place: readonly (string | number)[]): Breach[] {
  const isFeeder = (id: string, of: string) => id !== of && units.some((unit) => unit.id === id);
  return [
    ...idsTwice(units, [...place, "units"]),
    ...units.flatMap(({ id, feed }, row): Breach[] =>
      feed.feed === "lead" && !isFeeder(feed.from, id)
        ? [{ code: "unknown-unit", unit: feed.from, place: [...place, "units", row, "feed", "from"] }]
        : [],
    ),
  ];
}

/** Every condition inside a device, with its place: what opens routes, lists and decoders, what begins a return, what turns a socket. */
function conditionsIn(device: Device): readonly { readonly condition: Condition; readonly at: readonly (string | number)[] }[] {
  const all = (conditions: readonly Condition[] | undefined, ...at: readonly (string | number)[]) =>
    (conditions ?? []).map((condition, index) => ({ condition, at: [...at, index] }));
  return [
    ...device.routes.flatMap(({ opens }, row) => all(opens, "routes", row, "opens")),
    ...device.presents.flatMap(({ when }, row) => all(when, "presents", row, "when")),
    ...(device.decodes ?? []).flatMap(({ opens }, row) => all(opens, "decodes", row, "opens")),
    ...device.ports.flatMap((port, row) =>
      port.connector === "hdmi"
        ? [...all(port.returnOpens, "ports", row, "returnOpens"), ...all(port.turnsWhen, "ports", row, "turnsWhen")]
        : [],
    ),
  ];
}

type WithoutPlace = Breach extends infer One ? (One extends Breach ? Omit<One, "place"> : never) : never;

/** A misspelt value or socket would keep a condition open, or shut, for ever. */
function conditionBreaches(device: Device, condition: Condition): readonly WithoutPlace[] {
  const isPort = (id: string) => device.ports.some((port) => port.id === id);
  if ("unplugged" in condition) return isPort(condition.unplugged) ? [] : [{ code: "unknown-terminal", terminal: condition.unplugged }];
  if ("soundFollows" in condition)
    return Object.values(condition.soundFollows).flatMap((terminal): WithoutPlace[] =>
      isPort(terminal) ? [] : [{ code: "unknown-terminal", terminal }],
    );
  const choices = "either" in condition ? condition.either : [condition];
  return choices.flatMap(({ setting: key, value }): WithoutPlace[] => {
    const setting = device.settings.find((row) => row.key === key);
    // A condition on a setting that the device does not have always holds.
    return !setting || setting.options.includes(value) ? [] : [{ code: "no-such-option", device: device.id, setting: key, value }];
  });
}
