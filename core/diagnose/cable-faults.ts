import { cableClassFact, ONE_WAY_CLASSES, type CableClass } from "@/core/facts";
import { findDevice, findPort, moveCableEnd, type Cable, type Command, type Job, type SingleCommand } from "@/core/job";
import { fault, type Fault } from "./fault";
import type { CableSide, Cure } from "./step";

const SIDES = ["from", "to"] as const;

/** All that can be wrong with one lead or with how it is plugged. */
export function cableFaults(job: Job, cable: Cable): readonly Fault[] {
  if (cable.miswired || cable.class === "bluetooth") return [];
  const { id } = cable;
  const [from, to] = SIDES.map((side): Cure => ({ does: "seat", cable: id, side }));
  const edit = (fields: Extract<Command, { kind: "edit-cable" }>["fields"]): Command => ({ kind: "edit-cable", cable: id, fields });
  const lead: Cure = { does: "lead", cable: id };
  const isHdmi = findPort(job, cable.from)?.connector === "hdmi" && findPort(job, cable.to)?.connector === "hdmi";
  return [
    ...(from ? [fault("cable-out", { cable: id, side: "from" }, { kind: "unplug", cable: id }, [from])] : []),
    ...(to ? [fault("cable-out", { cable: id, side: "to" }, { kind: "unplug", cable: id }, [to])] : []),
    ...SIDES.flatMap((side) => [
      fault("half-in", { cable: id, side }, edit({ state: "half-in" }), [{ does: "seat", cable: id, side }]),
      ...(cable.class === "optical"
        ? [fault("cap-on", { cable: id, side }, edit({ state: "cap-on" }), [{ does: "seat", cable: id, side }])]
        : []),
      ...wrongSockets(job, cable, side),
    ]),
    fault("broken-cable", { cable: id }, edit({ state: "broken" }), [lead]),
    ...(isHdmi ? hdmiFaults(job, cable, edit, lead) : []),
  ];
}

function hdmiFaults(job: Job, cable: Cable, edit: (fields: Partial<Cable>) => Command, lead: Cure): readonly Fault[] {
  const { id } = cable;
  const stuck: readonly Cure[] = [
    ...(findDevice(job, cable.from.device)?.role === "sound" ? [{ does: "own-key", device: cable.from.device } as const] : []),
    { does: "seat", cable: id, side: "from" },
    { does: "restart", device: cable.from.device },
    { does: "restart", device: cable.to.device },
    { does: "cycle" },
    { does: "seat", cable: id, side: "to" },
  ];
  const wires = cable.returnWires === "earc" ? (["none", "arc"] as const) : cable.returnWires === "arc" ? (["none"] as const) : [];
  const isForgetful = [cable.from, cable.to].some((end) =>
    findDevice(job, end.device)?.habits.some(({ habit }) => habit === "keeps-old-edid" || habit === "forgets-edid"),
  );
  const own = cableClassFact(cable.class);
  const slower = (["high-speed", "premium-high-speed"] as const satisfies readonly CableClass[]).filter(
    (one) => own.passive && (cableClassFact(one).pictureGbps ?? 0) < (own.pictureGbps ?? 0),
  );
  const isOneWay = cable.direction === "one-way" || ONE_WAY_CLASSES.has(cable.class);
  return [
    { ...fault("stale", { cable: id }, edit({ state: "stale" }), stuck), ...(isForgetful ? { likelier: FORGETFUL } : {}) },
    ...wires.map((value) => fault("no-return-wires", { cable: id, value }, edit({ returnWires: value }), [lead])),
    ...(cable.controlWire ? [fault("no-control-wire", { cable: id }, edit({ controlWire: false }), [lead])] : []),
    ...slower.map((value) => fault("slow-cable", { cable: id, value }, edit({ class: value, returnWires: cable.returnWires }), [lead])),
    ...(isOneWay && !cable.backwards
      ? [fault("backwards", { cable: id }, edit({ direction: "one-way", backwards: true }), [{ does: "turn", cable: id }])]
      : []),
  ];
}

/** A link with a device that keeps or forgets its list is so many times likelier to be stuck. */
const FORGETFUL = 3;

/** As many other sockets of one device are thought of for one plug; the next free ones are the likeliest. */
const MOST_SOCKETS = 2;

/** The plug in another free socket of the same device; an input taken for an output, too. Those that do not fit are refused when they are made. */
function wrongSockets(job: Job, cable: Cable, side: CableSide): readonly Fault[] {
  const here = cable[side];
  const own = findPort(job, here);
  const taken = new Set(job.cables.flatMap(({ from, to }) => [from, to]).flatMap((end) => (end.device === here.device ? [end.port] : [])));
  const free = (findDevice(job, here.device)?.ports ?? []).filter(({ id, connector }) => connector === own?.connector && !taken.has(id));
  const same = free.filter(({ direction }) => direction === own?.direction).slice(0, MOST_SOCKETS);
  const other = free.filter(({ direction }) => direction !== own?.direction).slice(0, 1);
  return [...same, ...other].map((port) => {
    const moved = moveCableEnd(job, cable, side, { device: here.device, port: port.id });
    return fault("wrong-socket", { cable: cable.id, side, value: port.id }, port.direction === own?.direction ? moved : miswired(moved), [
      { does: "seat", cable: cable.id, side },
    ]);
  });
}

/** The same edit, with the cable in two outputs or in two inputs. */
function miswired(moved: Command): Command {
  if (moved.kind !== "batch") return moved;
  const commands = moved.commands.map((one): SingleCommand =>
    one.kind === "plug" ? { ...one, cable: { ...one.cable, miswired: true } } : one,
  );
  return { kind: "batch", commands };
}
