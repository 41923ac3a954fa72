import { effectiveSetting, unitsOf, type Device, type SpeakerUnit, type UnitState } from "@/core/device";
import { mirrorOf, settingFact, sideOf, type FaultKind, type SettingKey } from "@/core/facts";
import { chosenSoundSystem, type Command, type Job } from "@/core/job";
import { withDrift } from "./drift";
import { fault, type Fault } from "./fault";
import type { Cure } from "./step";

/** What a setting with the wrong value is called: any wrong value, or one alone at which it silences or lames. */
interface WrongValue {
  readonly kind: FaultKind;
  readonly at: string | null;
}
const anyValue = (kind: FaultKind): WrongValue => ({ kind, at: null });
const setOtherwise = anyValue("other-setting");

const WRONG: Readonly<Record<SettingKey, WrongValue>> = {
  "player-audio": anyValue("wrong-format"),
  "digital-output": anyValue("wrong-format"),
  speakers: { kind: "own-speakers", at: "own" },
  earc: { kind: "return-off", at: "off" },
  arc: { kind: "return-off", at: "off" },
  cec: { kind: "control-off", at: "off" },
  "control-wakes": { kind: "control-switch", at: "off" },
  "control-obeys": { kind: "control-switch", at: "off" },
  upmix: anyValue("sound-mode"),
  "decode-mode": anyValue("sound-mode"),
  "signal-format": anyValue("picture-setting"),
  "edid-mode": anyValue("wrong-edid"),
  "arc-take": { kind: "return-off", at: "off" },
  "input-select": anyValue("wrong-input"),
  "sound-follows": anyValue("wrong-input"),
  "object-format": anyValue("wrong-format"),
  "output-device": { kind: "wrong-output", at: "other" },
  power: { kind: "asleep", at: "standby" },
  "standby-pass": setOtherwise,
  module: setOtherwise,
  bluetooth: anyValue("wrong-output"),
  mute: { kind: "muted", at: "on" },
  "volume-level": { kind: "volume-zero", at: "zero" },
  "input-sound": anyValue("input-sound-off"),
  "socket-mode": setOtherwise,
  "sound-delay": anyValue("delay-set"),
  "picture-mode": anyValue("picture-setting"),
  "video-format": anyValue("picture-setting"),
  hdr: anyValue("picture-setting"),
};
const kindOf = (key: SettingKey, value: string): FaultKind =>
  WRONG[key].at === null || WRONG[key].at === value ? WRONG[key].kind : "other-setting";

/** Every setting of a device at each value that it should not have. Of a long list of figures, the largest stands for all. */
export const settingFaults = (device: Device): readonly Fault[] =>
  device.settings.flatMap((setting): Fault[] => {
    const { key, options } = setting;
    const now = effectiveSetting(device, key, "planned");
    const others = options.filter((value) => value !== now);
    const values = settingFact(key).also === "milliseconds" ? others.slice(-1) : others;
    // The person looks for the value that is wanted; where nobody knows it, there is nothing to compare with.
    if (now === null || now === undefined) return [];
    return values.map((value) =>
      fault(
        kindOf(key, value),
        { device: device.id, setting: key, value },
        { kind: "set-setting", device: device.id, setting: key, state: "planned", value },
        key === "power"
          ? [
              { does: "set", device: device.id, setting: key },
              { does: "own-key", device: device.id },
            ]
          : [{ does: "set", device: device.id, setting: key }],
      ),
    );
  });

/** What can be wrong with a device as a whole, with its sockets, or with what it plays. */
export function stateFaults(job: Job, device: Device): readonly Fault[] {
  const { id, ports, sources } = device;
  const edit = (fields: Extract<Command, { kind: "edit-device" }>["fields"]): Command => ({ kind: "edit-device", device: id, fields });
  const plugged = ports.filter((port) =>
    job.cables.some(({ from, to }) => [from, to].some((end) => end.device === id && end.port === port.id)),
  );
  const replace: Cure = { does: "replace", device: id };
  const taken = new Set(plugged.map((port) => port.id));
  const hasSpare = (own: string) => {
    const port = ports.find((one) => one.id === own);
    return ports.some((one) => !taken.has(one.id) && one.connector === port?.connector && one.direction === port.direction);
  };
  return [
    fault("no-power", { device: id }, edit({ state: "no-power" }), [{ does: "power", device: id }]),
    fault("dead-device", { device: id }, edit({ state: "dead" }), [replace]),
    ...plugged
      .filter(({ connector }) => connector !== "bluetooth")
      .map((port) =>
        fault("dead-socket", { device: id, port: port.id }, { kind: "edit-port", device: id, port: port.id, fields: { dead: true } }, [
          hasSpare(port.id) ? { does: "other-socket", device: id, port: port.id } : replace,
        ]),
      ),
    ...(sources.length && device.role === "player"
      ? [fault("headphones", { device: id }, edit({ state: "headphones" }), [{ does: "unpair", device: id }])]
      : []),
    ...(ports.some((port) => port.connector === "hdmi" && port.returns === "earc")
      ? [fault("old-firmware", { device: id }, edit({ state: "old-firmware" }), [{ does: "update", device: id }])]
      : []),
    ...(device.role === "player"
      ? []
      : plugged.flatMap((port) =>
          port.connector === "hdmi" && port.hdcp !== null && port.hdcp !== "none" && port.hdcp !== "1.4"
            ? [
                fault(
                  "hdcp-old",
                  { device: id, port: port.id },
                  { kind: "edit-port", device: id, port: port.id, fields: { hdcp: "1.4" } },
                  [{ does: "go-round", device: id, port: port.id }],
                ),
              ]
            : [],
        )),
    ...driftFaults(device, edit),
    ...titleFaults(device),
  ];
}

function driftFaults(device: Device, edit: (fields: Pick<Device, "habits">) => Command): readonly Fault[] {
  const habits = device.role === "player" ? withDrift(device) : null;
  return habits ? [fault("drifting", { device: device.id }, edit({ habits }), [{ does: "take-pcm", device: device.id }])] : [];
}

/** A title that has stereo alone where its kind has more. */
const titleFaults = (device: Device): readonly Fault[] =>
  device.sources.flatMap(({ id, contents }) =>
    contents.flatMap((content): Fault[] => {
      const [first] = content.tracks;
      if (!first || content.tracks.every(({ channels }) => channels === "1.0" || channels === "2.0")) return [];
      const plain = { ...first, channels: "2.0" as const, objects: "none" as const };
      const row = `${device.id}/${id}/${content.id}`;
      return [
        fault(
          "stereo-title",
          { row },
          {
            kind: "set-contents",
            device: device.id,
            source: id,
            contents: contents.map((one) => (one === content ? { ...one, tracks: [plain] } : one)),
          },
          [{ does: "other-title", row }],
        ),
      ];
    }),
  );

/** What can be wrong with the units of the sound system that the room listens to. */
export function unitFaults(job: Job): readonly Fault[] {
  const system = chosenSoundSystem(job);
  if (!system) return [];
  const units = unitsOf(system);
  const sounding = units.filter(({ drivers }) => drivers.length > 0);
  const become = (ids: readonly string[], state: UnitState): Command => ({
    kind: "edit-device",
    device: system.id,
    fields: { units: units.map((unit) => (ids.includes(unit.id) ? { ...unit, state } : unit)) },
  });
  const cure = (to: Extract<Cure, { does: "unit" }>["to"], unit: string): readonly Cure[] => [
    { does: "unit", to, device: system.id, unit },
  ];
  const one = (kind: FaultKind, unit: string, state: UnitState, cures: readonly Cure[]): Fault =>
    fault(kind, { device: system.id, unit }, become([unit], state), cures);
  return [
    ...sounding.flatMap(({ id, feed, battery, passive }): Fault[] => [
      ...(feed.feed === "wireless" && feed.pairs === "by-hand" ? [one("unit-unpaired", id, "unpaired", cure("pair", id))] : []),
      ...(feed.feed === "wireless" ? [one("unit-misplaced", id, "misplaced", cure("place", id))] : []),
      ...(battery ? [one("unit-flat", id, "flat", cure("charge", id))] : []),
      ...(feed.feed === "wire" || passive ? [one("unit-reversed", id, "reversed", cure("wire", id))] : []),
      ...(feed.feed === "own" ? [] : [one("dead-unit", id, "dead", [{ does: "replace", device: system.id, unit: id }])]),
    ]),
    ...pairsOf(sounding.filter(({ feed }) => feed.feed !== "own")).map(([left, right]) =>
      fault("units-swapped", { device: system.id, unit: left }, become([left, right], "other-side"), cure("sides", left)),
    ),
  ];
}

/** Units that play the two sides of one pair of channels, the left one first. */
function pairsOf(units: readonly SpeakerUnit[]): readonly (readonly [string, string])[] {
  const alone = new Map(
    units.flatMap(({ id, drivers }) => (drivers.length === 1 && drivers[0] ? [[drivers[0].channel, id] as const] : [])),
  );
  return [...alone].flatMap(([channel, left]): (readonly [string, string])[] => {
    const right = alone.get(mirrorOf(channel));
    return sideOf(channel) === "left" && right !== undefined ? [[left, right]] : [];
  });
}
