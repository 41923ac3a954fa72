import fc from "fast-check";
import { expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { householdOf, kindOf, networkOf } from "@/core/cec";
import type { Job } from "@/core/job";

/*
 * Addresses and wires worked out the other way round: the program asks each device who is above it; here each screen hands addresses down,
 * cable by cable (HDMI 1.4 §8.7), and paint runs along pin 13 (CEC 1.4 §4). Nothing of the engine is used but what kind a device is.
 */
type Device = Job["devices"][number];
const hdmi = (device: Device, direction: "in" | "out") =>
  device.ports.flatMap((port) => (port.connector === "hdmi" && port.direction === direction ? [port.id] : []));
const sockets = (device: Device) => [...hdmi(device, "in"), ...hdmi(device, "out")];
const cableAt = ({ cables }: Job, device: string, port: string) =>
  cables.find(({ from, to }) => (from.device === device && from.port === port) || (to.device === device && to.port === port));
const pluggedOutputs = (job: Job, device: Device) => hdmi(device, "out").filter((port) => cableAt(job, device.id, port));

/** The address of an input: the first zero of the address above becomes its number. There are four numbers, up to 15. */
function below(above: string, input: number): string | null {
  const numbers = above.split(".");
  const level = numbers.indexOf("0");
  return level < 0 || input > 15 ? null : numbers.with(level, String(input)).join(".");
}

/** The address of each device that a screen hands one to, itself included. */
function handedDown(job: Job): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  const hand = (device: Device, address: string) => {
    if (found.has(device.id)) return;
    found.set(device.id, address);
    // A plain box shows on what it reads; everything else counts its inputs, and so does whatever is the root.
    const counts = kindOf(device) !== null || address === "0.0.0.0";
    hdmi(device, "in").forEach((port, index) => {
      const cable = cableAt(job, device.id, port);
      const source = cable?.to.device === device.id ? job.devices.find(({ id }) => id === cable.from.device) : undefined;
      const own = counts ? below(address, index + 1) : address;
      if (source && own && hdmi(source, "out").includes(cable?.from.port ?? "")) hand(source, own);
    });
  };
  const isRoot = (device: Device) => device.display && hdmi(device, "in").length > 0 && pluggedOutputs(job, device).length === 0;
  for (const device of job.devices) if (isRoot(device)) hand(device, "0.0.0.0");
  return found;
}

/** The HDMI sockets that paint comes to along pin 13, from one of them. */
function painted(job: Job, device: string, port: string): ReadonlySet<string> {
  const wet = new Set<string>();
  const pour = (id: string, socket: string) => {
    const at = job.devices.find((one) => one.id === id);
    if (!at || wet.has(`${id} ${socket}`) || !sockets(at).includes(socket)) return;
    wet.add(`${id} ${socket}`);
    const cable = cableAt(job, id, socket);
    if (cable?.controlWire)
      for (const end of [cable.from, cable.to]) if (end.device !== id || end.port !== socket) pour(end.device, end.port);
    const joined = at.speaksCec ? (at.control.joins ?? sockets(at)) : [];
    if (joined.includes(socket)) for (const other of joined) pour(id, other);
  };
  pour(device, port);
  return wet;
}

const rooms = fc.oneof(
  spelledRooms,
  anyRoom.map(anyJob),
  fc.constantFrom(...demoJobNames().map((name) => demoJob(name)), ...demoJobNames("systems").map((name) => demoJob(name, "systems"))),
);

test("each device is at the address that the screen above it hands down", () => {
  let told = 0;
  fc.assert(
    fc.property(rooms, (job) => {
      // Where several outputs of a device are plugged it depends on which of them it reads; other tests say so.
      if (job.devices.some((device) => pluggedOutputs(job, device).length > 1)) return;
      const paper = handedDown(job);
      for (const { device, address } of networkOf(job).nodes) {
        const own = paper.get(device);
        // No screen is above it.
        if (own === undefined) continue;
        told += Number(own !== "0.0.0.0");
        expect(address, device).toBe(own);
      }
    }),
    tries(300, 3000, 101),
  );
  expect(told).toBeGreaterThan(100);
});

test("who hears whom is what paint along pin 13 comes to, and on each wire no two hold one logical address that is of their kind", () => {
  /** Source: CEC 1.4 §11.3.2 table 5, and the backup addresses of HDMI 2.0 §11.3.2. */
  const OWN = {
    tv: [0, 14],
    audio: [5],
    playback: [4, 8, 11, 12, 13],
    tuner: [3, 6, 7, 10, 12, 13],
    recorder: [1, 2, 9, 12, 13],
    switch: [],
  };
  fc.assert(
    fc.property(rooms, (job) => {
      const single = networkOf(job).nodes.flatMap(({ device, wire }) => {
        const [port, ...more] = job.devices.filter(({ id }) => id === device).flatMap(sockets);
        return port !== undefined && more.length === 0 ? [{ device, port, wire }] : [];
      });
      for (const a of single) {
        const wet = painted(job, a.device, a.port);
        for (const b of single) expect(wet.has(`${b.device} ${b.port}`), `${a.device} and ${b.device}`).toBe(a.wire === b.wire);
      }
      const stations = [...householdOf(job).stations.values()];
      const held = stations.flatMap(({ nature }) =>
        nature.logical === null || nature.logical === 15 ? [] : [`${nature.wire} ${nature.logical}`],
      );
      expect(new Set(held).size).toBe(held.length);
      for (const { nature } of stations)
        if (nature.logical !== null && nature.logical !== 15) expect(OWN[nature.kind], nature.device).toContain(nature.logical);
    }),
    tries(300, 3000, 102),
  );
});
