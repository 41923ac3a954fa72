import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { rooms, spaceOf, type RoomParts } from "@/demo/small-rooms-under-test";
import { withMoreSockets } from "@/core/device";
import { device, room } from "@/demo/room-under-test";
import { cableClassFact } from "@/core/facts";
import { endKey, findPort, whyNotPlug } from "@/core/job";
import { present } from "@/core/outcome";
import { topologiesOf } from "./topologies";
import { inputKinds, jobWith, NO_SOCKETS, standInOf, wiringSpace } from "../space";
import { newContext, plugsOf } from "../search";
import { SettingMemo } from "../memo";
import { hubOf, schoolsOf } from "./schools";
import { PRESETS } from "../evaluation";

describe("every topology", () => {
  test("can be plugged cable by cable, has one lead into the sound system from a hub at most, and no box that nothing goes through", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        for (const { wires, boxes, hubs } of topologiesOf(space)) {
          const job = jobWith(space, hubs, wires);
          let bare = { ...job, cables: space.fixedCables.slice() };
          for (const { cable } of wires) {
            expect(whyNotPlug(bare, cable.from, cable.to)).toBeNull();
            bare = { ...bare, cables: [...bare.cables, cable] };
          }
          const leads = wires.filter(({ cable }) => cable.to.device === "system" && cableClassFact(cable.class).ends[0] !== "hdmi");
          expect(new Set(leads.map(({ cable }) => cable.from.device)).size).toBe(leads.length);
          for (const { device: box } of boxes)
            expect(wires.some(({ cable }) => cable.from.device === box.id || cable.to.device === box.id)).toBe(true);
          expect(hubs.map(({ id }) => id)).toContain("screen");
        }
      }),
      { numRuns: 40, seed: 31 },
    );
  });

  test("hangs the sound system on a return socket where the screen has one", () => {
    const space = spaceOf({ screen: "tv-earc", system: "bar-one-input", players: [], box: "switch-3x1", second: false, quarrels: false });
    const backs = [...topologiesOf(space)].flatMap(({ hubs, wires }) =>
      wires.flatMap(({ cable }) =>
        cable.from.device === "system" && cable.to.device === "screen" ? [findPort(jobWith(space, hubs, wires), cable.to)] : [],
      ),
    );
    expect(backs.length).toBeGreaterThan(0);
    for (const port of backs) expect(port?.connector === "hdmi" && port.returns).toBe("earc");
  });
});

describe("equal outputs of a box", () => {
  const orders = (speaksCec: boolean) => {
    const box = { ...device("splitter-1x2", "box"), speaksCec };
    const job = room([
      device("tv-earc", "tv"),
      device("projector", "projector"),
      device("bar-one-input", "bar"),
      device("streamer-4k", "player"),
    ]);
    const space = present(wiringSpace(job, { boxes: [{ device: box, price: null, isThere: false }] }), "something to plan");
    const shared = [...topologiesOf(space)].map(({ wires }) =>
      wires.flatMap(({ cable: { from, to } }) => (from.device === "box" ? [`${from.port} ${to.device}`] : [])).join(),
    );
    return ["out-1 tv,out-2 projector", "out-1 projector,out-2 tv"].map((order) => shared.includes(order));
  };

  test("are listed in one order; in both where the control wire goes on, for the first that is plugged gives the address", () => {
    expect(orders(false)).toEqual([true, false]);
    expect(orders(true)).toEqual([true, true]);
  });
});

describe("leads for sound alone", () => {
  const leads = (system: RoomParts["system"], box: RoomParts["box"]) => {
    const space = spaceOf({ screen: "tv-no-return", system, players: ["streamer-4k"], box, second: false, quarrels: false });
    const leads = [...topologiesOf(space)].map(({ wires }) => wires.flatMap(({ cable }) => (cable.to.device === "system" ? [cable] : [])));
    // Where the screen has no lead, which could take the only digital socket.
    const own = leads.filter((cables) => cables.every(({ from }) => from.device === box)).flat();
    return new Set(own.map(({ class: kind }) => kind));
  };

  test("an analogue one is not thought of beside a digital one where the far end decodes all that can come over that", () => {
    expect(leads("receiver-51", "extractor")).toEqual(new Set(["optical"]));
  });

  test("each of two screens may have its own, for what it alone plays: listed once, whatever the order", () => {
    const screens = [device("tv-coaxial", "tv"), device("tv-no-return", "second")];
    const space = present(wiringSpace(room([...screens, device("receiver-51", "receiver")]), { boxes: [] }), "something to plan");
    const sets = [...topologiesOf(space)].map(({ wires }) =>
      wires.flatMap(({ cable: { from, to } }) => (to.device === "receiver" ? [`${from.device} ${from.port} > ${to.port}`] : [])),
    );
    expect(sets).toContainEqual(["tv coaxial-out > coaxial-in", "second optical-out > optical-in"]);
    const told = [...topologiesOf(space)].map(({ wires }) =>
      wires
        .map(({ cable: { from, to } }) => `${endKey(from)} ${endKey(to)}`)
        .toSorted()
        .join(),
    );
    expect(new Set(told).size).toBe(told.length);
  });

  test("where the far end takes analogue alone one such lead is thought of, not two", () => {
    expect(leads("amplifier-knob", "extractor").size).toBe(1);
  });
});

describe("players that are alike in everything but their name", () => {
  test("stand for each other, but for the first, on which the acts about nobody hang; one that is set otherwise stands for itself", () => {
    const [a, b, c, other] = ["a", "b", "c", "other"].map((id) => device("streamer-4k", id));
    if (!a || !b || !c || !other) throw new Error("no players");
    const turned = { ...other, settings: other.settings.map((row) => (row.key === "player-audio" ? { ...row, found: "pcm" } : row)) };
    const space = wiringSpace(room([device("tv-earc", "tv"), device("bar-one-input", "bar"), a, b, c, turned]), { boxes: [] });
    if (!space) throw new Error("nothing to plan");
    const context = newContext(space, PRESETS["best-sound"]);
    const [topology] = topologiesOf(space);
    if (!topology) throw new Error("no topology");
    const standIns = plugsOf(context, topology).tables.map((plugs, index) => {
      const player = space.players[index];
      const { wire = null, kind = null } = plugs.find((plug) => plug.wire) ?? {};
      return player && wire && kind ? standInOf(space, player, { wire, kind }) : null;
    });
    expect(standIns.map((one) => one?.device.id)).toEqual(["a", "b", "b", "other"]);
    expect(standIns.map((one) => one?.wire.cable.from.device)).toEqual(["a", "b", "b", "other"]);
  });
});

describe("answers by switches", () => {
  const hub = device("tv-earc", "tv");
  const set = (key: string, value: string) => ({
    ...hub,
    settings: hub.settings.map((row) => (row.key === key ? { ...row, planned: value } : row)),
  });

  test("hold while what was asked about stands alike, whatever else is set, and only then", () => {
    const told = new SettingMemo<number>();
    let worked = 0;
    const of = (tv: typeof hub) => told.of([tv], () => ({ answer: (worked += 1), asked: ["setting tv earc", "device tv"] }));
    expect([of(hub), of(set("digital-output", "pcm")), of(set("earc", "off")), of(hub)]).toEqual([1, 1, 2, 1]);
  });
});

describe("sockets", () => {
  test("that are alike in every fact are told once; those of another rate, of a return, or taken are not among them", () => {
    const tv = device("tv-arc", "tv");
    const kinds = inputKinds(tv, NO_SOCKETS);
    expect(kinds.map(({ ports }) => ports.length).reduce((sum, count) => sum + count, 0)).toBe(
      tv.ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "in").length,
    );
    expect(kinds.find(({ ports }) => ports.includes("hdmi1"))?.ports).toEqual(["hdmi1"]);
    expect(kinds.find(({ ports }) => ports.includes("hdmi2"))?.ports.length).toBeGreaterThan(1);
  });

  test("past the fifteenth are a kind of their own: they give nobody an address", () => {
    const more = Array.from({ length: 13 }, (_, index) => `hdmi2-x${index}`);
    const wide = withMoreSockets(device("tv-earc", "tv"), "hdmi2", more);
    const inputs = wide.ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "in").map(({ id }) => id);
    expect(inputs).toHaveLength(17);
    const alike = inputKinds(wide, NO_SOCKETS).find(({ ports }) => ports.includes("hdmi2"));
    for (const late of inputs.slice(15)) expect(alike?.ports).not.toContain(late);
  });

  test("out of which sound goes are none for a player", () => {
    expect(inputKinds(device("earc-extractor-mixed", "box"), NO_SOCKETS).flatMap(({ ports }) => ports)).toEqual(["hdmi-in"]);
  });
});

describe("a box that only gathers sockets", () => {
  test("is no hub of its own: whoever sits in it comes in where it leads", () => {
    // More players than the screen has sockets of a kind: nothing is gathered where there are enough.
    const players = Array.from({ length: 4 }, () => "streamer-4k" as const);
    const space = spaceOf({ screen: "tv-arc", system: "receiver-51", players, box: "switch-3x1", second: false, quarrels: false });
    expect([...topologiesOf({ ...space, players: [] })].filter(({ boxes }) => boxes.length === 1)).toEqual([]);
    const gathered = [...topologiesOf(space)].filter(({ boxes }) => boxes.length === 1);
    expect(gathered.length).toBeGreaterThan(0);
    for (const topology of gathered) {
      const onward = topology.wires.find(({ cable }) => cable.from.device === "switch-3x1");
      expect(hubOf(topology, "switch-3x1")).toBe(onward?.cable.to.device);
      expect(schoolsOf(space, topology)).not.toContain("split");
    }
  });
});
