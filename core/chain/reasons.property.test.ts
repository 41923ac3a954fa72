import fc from "fast-check";
import { expect, test } from "vitest";
import { disturbedRooms } from "@/demo/disturbed-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { arrivalsOf, type Arrival, type Loss, type Reason } from "@/core/chain";
import { effectiveSetting, type Content, type Device, type SoundRoute } from "@/core/device";
import { bedChannels, type Bed, type SettingKey } from "@/core/facts";
import { asItStands, type Job } from "@/core/job";

/** A reason, with the row and job that it belongs to. */
interface Told {
  readonly job: Job;
  readonly row: Arrival;
  readonly loss: Loss;
}

const isWider = (a: Bed, b: Bed): boolean => bedChannels(a) > bedChannels(b);

function deviceOf({ job }: Told, id: string): Device {
  const found = asItStands(job).devices.find((device) => device.id === id);
  if (!found) throw new Error(`no device ${id}`);
  return found;
}
const cableOf = ({ job }: Told, id: string) => asItStands(job).cables.find((cable) => cable.id === id);
const isSet = (told: Told, { device, setting, value }: { device: string; setting: SettingKey; value: string }): boolean =>
  effectiveSetting(deviceOf(told, device), setting, "planned") === value;

/** Values of a format setting under which codings leave as they are. */
const UNTOUCHED: readonly (string | null | undefined)[] = [undefined, "auto", "bitstream", "pass-through"];

/** Routes that nothing keeps from working, between the places where the row's sound passes a device, each time it does. */
function openRoutes(told: Told, id: string): readonly (readonly SoundRoute[])[] {
  const device = deviceOf(told, id);
  const { hops, source } = told.row;
  return hops.flatMap((hop, index) => {
    const before = hops[index - 1];
    const from = before === undefined ? source : before.port;
    if (hop.device !== id || hop.cable !== null) return [];
    return [
      device.routes.filter(
        (route): route is SoundRoute =>
          route.kind === "sound" &&
          route.from.includes(from) &&
          route.to.includes(hop.port) &&
          (route.format === null || UNTOUCHED.includes(effectiveSetting(device, route.format, "planned"))) &&
          route.renders === null &&
          route.opens.length === 0,
      ),
    ];
  });
}

/** Whether the row's sound leaves a device where no coding can go as it is. */
const leavesDecoded = (told: Told, id: string): boolean =>
  told.row.hops.some(({ device, port }) =>
    deviceOf(told, id).ports.some((one) => device === id && one.id === port && !["hdmi", "optical", "coaxial"].includes(one.connector)),
  );

/**
 * What the sentences of reasons state, read off the devices, cables and settings of the job and nothing else: no way is followed here.
 * True where a statement holds; it need not be the only one that could be made.
 */
type Statements = { readonly [Code in Reason["code"]]?: (told: Told, reason: Extract<Reason, { code: Code }>) => boolean };

const HOLDS: Statements = {
  "does-not-pass": (told, { device, coding, objects }) =>
    leavesDecoded(told, device) ||
    openRoutes(told, device).some((routes) =>
      routes.every(({ passes }) => passes?.every((row) => row.coding !== coding || (objects !== "none" && !row.objects))),
    ),
  "cannot-emit": (told, { device, coding, objects, need }) =>
    // LPCM that it decodes may be as wide and come of another track.
    coding === "lpcm" ||
    !told.row.content.tracks.some((track) => track.coding === coding) ||
    openRoutes(told, device).some((routes) =>
      routes.every(({ passes }) =>
        passes?.every((row) => row.coding !== coding || isWider(need, row.channels) || (objects !== "none" && !row.objects)),
      ),
    ),
  "cannot-decode": (told, { device, coding }) => {
    const { decodes } = deviceOf(told, device);
    return decodes?.every((row) => row.coding !== coding || row.opens?.length) ?? false;
  },
  "not-listed": (told, { device, port, coding, need, objects }) => {
    const { presents, ports } = deviceOf(told, device);
    const rules = presents.filter((rule) => rule.ports.includes(port));
    const [only] = rules;
    const isSure = ports.some(({ id, connector }) => id === port && connector === "hdmi") && rules.length === 1 && only?.rule === "list";
    return (
      !isSure ||
      (only.sound?.every((row) => row.coding !== coding || isWider(need, row.channels) || (objects !== "none" && !row.objects)) ?? false)
    );
  },
  "passes-fewer": (_, { need, have }) => isWider(need, have),
  "link-channels": (_, { need, have }) => isWider(need, have),
  "speakers-fewer": (told, { device, need, have }) => isWider(need, have) && deviceOf(told, device).speakers?.bed === have,
  "no-height-speakers": (told, { device }) => !deviceOf(told, device).speakers?.heights,
  "link-capacity": (_, { need, have }) => need > have,
  "format-setting": isSet,
  "setting-shuts": (told, reason) => isSet(told, reason) && !reason.wanted.includes(reason.value),
  "return-off": (told, { device, setting }) => isSet(told, { device, setting, value: "off" }),
  "speakers-choice": (told, { device, value }) => isSet(told, { device, setting: "speakers", value }),
  "decode-mode": (told, { device, value }) => isSet(told, { device, setting: "decode-mode", value }),
  "no-return-socket": (told, { device, port }) =>
    deviceOf(told, device).ports.some((one) => one.id === port && (one.connector !== "hdmi" || one.returns === "none")),
  "no-return-wire": (told, { cable }) => cableOf(told, cable)?.returnWires === "none",
  "no-control-wire": (told, { cable }) => cableOf(told, cable)?.controlWire === false,
  "no-cec": (told, { device }) => !deviceOf(told, device).speaksCec,
  "no-sound-route": (told, { device, port }) =>
    deviceOf(told, device).routes.every(
      ({ kind, from, to }) => kind !== "sound" || !from.includes(port) || !to.includes(told.row.hops[told.loss.hop]?.port ?? ""),
    ),
  "cable-backwards": (told, { cable }) => cableOf(told, cable)?.backwards === true,
  miswired: (told, { cable }) => cableOf(told, cable)?.miswired === true,
  "device-state": (told, { device, state }) => told.job.devices.some((one) => one.id === device && one.state === state),
  "cable-state": (told, { cable, state }) => told.job.cables.some((one) => one.id === cable && one.state === state),
  "not-connected": ({ job }, { device }) =>
    asItStands(job).cables.every(({ from, to, miswired }) => miswired || (from.device !== device && to.device !== device)),
  "plug-mutes": ({ job }, end) =>
    asItStands(job).cables.some(({ from, to }) => [from, to].some(({ device, port }) => device === end.device && port === end.port)),
};

/** Only these codings have objects, and authors put the richest track first; gear is spelled out at random, but sold content is not. */
const WITH_OBJECTS = ["eac3 atmos", "truehd atmos", "mat atmos", "dts-hd-ma dtsx"];
function isAuthored({ tracks: [main, ...others] }: Content): boolean {
  const isSold = ({ coding, objects }: Content["tracks"][number]) =>
    coding !== "analogue" && (objects === "none" || WITH_OBJECTS.includes(`${coding} ${objects}`));
  return main !== undefined && isSold(main) && others.every((track) => isSold(track) && !isWider(track.channels, main.channels));
}

const holds = <Code extends Reason["code"]>(told: Told, reason: Extract<Reason, { code: Code }>): boolean => {
  const statement = HOLDS[reason.code as Code];
  return statement === undefined || statement(told, reason);
};

test("what a reason states is so: of the device, its menus, its sockets, the cable or the link that it names", () => {
  const told = new Map<string, number>();
  fc.assert(
    fc.property(disturbedRooms, (job) => {
      for (const row of arrivalsOf(job)) {
        if (!isAuthored(row.content)) continue;
        for (const loss of row.losses) {
          const { code } = loss.reason;
          told.set(code, (told.get(code) ?? 0) + 1);
          expect(holds({ job, row, loss }, loss.reason), `${row.id}: ${JSON.stringify(loss)}`).toBe(true);
        }
      }
    }),
    tries(1000, 20_000, 77),
  );
  expect(told.size, [...told.keys()].join()).toBeGreaterThan(20);
}, 900_000);
