import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made, planned } from "@/demo/room-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { controlLinks, networkOf } from "@/core/cec";

const loft = demoJob("sail-loft");

describe("control on the map", () => {
  test("CEC crosses a cable only where both ends take part and have it on", () => {
    expect(controlLinks(loft).get("bar-tv")).toEqual({ carries: true });
    const off = controlLinks(made(loft, planned("television", "cec", "off")));
    expect(off.get("bar-tv")).toEqual({ carries: false, device: "television", why: "switched-off" });
    expect(off.get("console-bar")).toEqual({ carries: true });
    const unknown = controlLinks(made(loft, { kind: "set-setting", device: "bar", setting: "cec", state: "found", value: null }));
    expect(unknown.get("bar-tv")).toMatchObject({ why: "not-known" });
  });

  test("a computer that does not support CEC stops it at its own cable", () =>
    expect(controlLinks(demoJob("village-hall")).get("computer-matrix")).toEqual({
      carries: false,
      cut: { at: "device", device: "computer" },
    }));

  test("a lead without the control wire, and a socket that the wire inside a device does not reach, stop it too", () => {
    const bare = { ...loft, cables: loft.cables.map((cable) => ({ ...cable, controlWire: cable.id !== "bar-tv" })) };
    expect(controlLinks(bare).get("bar-tv")).toEqual({ carries: false, cut: { at: "cable", cable: "bar-tv" } });
    const end = loft.cables.find(({ id }) => id === "bar-tv")?.to;
    const joins: string[] = [];
    const apart = loft.devices.map((one) => (one.id === end?.device ? { ...one, control: { ...one.control, joins } } : one));
    expect(controlLinks({ ...loft, devices: apart }).get("bar-tv")).toEqual({ carries: false, cut: { at: "socket", ...end } });
  });

  test("what it crosses joins both ends to one wire of the bus, and both take part there, in rooms of every kind", () => {
    let crossed = 0;
    fc.assert(
      fc.property(spelledRooms, (job) => {
        const { nodes } = networkOf(job, "planned");
        const nodeOf = (id: string) => nodes.find(({ device }) => device === id);
        for (const [id, link] of controlLinks(job)) {
          const cable = job.cables.find((one) => one.id === id);
          const ends = [cable?.from, cable?.to].map((end) => nodeOf(end?.device ?? ""));
          const [a, b] = ends;
          if (!link.carries || !a || !b) continue;
          crossed += 1;
          expect([a.speaks, b.speaks, a.wire === b.wire], id).toEqual([true, true, true]);
        }
      }),
      tries(400, 10_000, 41),
    );
    expect(crossed).toBeGreaterThan(20);
  });
});
