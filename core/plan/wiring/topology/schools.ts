import type { Device } from "@/core/device";
import type { Cable } from "@/core/job";
import type { Topology } from "./topologies";
import { isSwitchBox } from "./switch-box";
import type { WiringSpace } from "../space";

/** The ways of wiring that installers argue about. */
export const SCHOOLS = ["screen-hub", "sound-hub", "mixed", "split", "side-cable", "adapter", "wireless"] as const;
export type School = (typeof SCHOOLS)[number];

/** Through which device each player comes into the room: past boxes that only gather sockets. */
export function hubOf({ boxes, wires }: Pick<Topology, "boxes" | "wires">, device: string): string {
  const box = boxes.find((one) => one.device.id === device)?.device;
  if (!box || !isSwitchBox(box)) return device;
  const onward = wires.find(({ cable }) => cable.from.device === device);
  return onward ? onward.cable.to.device : device;
}

/** The schools that plans on a topology can be of, before players are placed. */
export function schoolsOf(space: WiringSpace, topology: Topology): readonly School[] {
  const { boxes, wires } = topology;
  const isSystem = (id: string) => id === space.system.id;
  const isBox = (id: string) => boxes.some(({ device }) => device.id === id);
  const isScreen = (id: string) => space.screens.some((screen) => screen.id === id);
  const cables = wires.map(({ cable }) => cable);
  if (cables.some((cable) => cable.class === "bluetooth") || boxes.some(({ device }) => device.spans)) return ["wireless"];
  const intoSystem = cables.filter(({ from, to }) => isSystem(to.device) && !isHdmi(space, topology, from));
  const fromBox = intoSystem.find(({ from }) => isBox(from.device));
  const adapter = boxes.find(({ device }) => device.id === fromBox?.from.device)?.device;
  if (adapter && !takesPictures(adapter) && returnsInto(cables, adapter.id, isScreen)) return ["adapter"];
  if (boxes.some(({ device }) => !isSwitchBox(device) && takesPictures(device))) return ["split"];
  if (intoSystem.length > 0) return ["side-cable"];
  return space.players.length === 0 ? ["screen-hub"] : ["screen-hub", "sound-hub", "mixed"];
}

/** The schools that a lead for sound makes a plan one of, whatever it is without. */
const BY_LEADS: readonly School[] = ["side-cable", "adapter", "wireless"];

/** The schools that plans on a topology can be of whose leads for sound are still open. */
export const schoolsOfOpen = (space: WiringSpace, topology: Topology): readonly School[] => {
  const without = schoolsOf(space, topology);
  return SCHOOLS.filter((school) => without.includes(school) || BY_LEADS.includes(school));
};

const isHdmi = ({ system }: WiringSpace, { hubs }: Topology, { device, port }: Cable["from"]): boolean =>
  [system, ...hubs].find(({ id }) => id === device)?.ports.some(({ id, connector }) => id === port && connector === "hdmi") ?? false;

const takesPictures = ({ ports }: Device): boolean => ports.some(({ connector, direction }) => connector === "hdmi" && direction === "in");

/** A box whose HDMI output is in a screen, and that no picture goes through: it is there for what comes back. */
const returnsInto = (cables: readonly Cable[], box: string, isScreen: (id: string) => boolean): boolean =>
  cables.some(({ from, to }) => from.device === box && isScreen(to.device));

/** Whether a player may come in through a device in a school. */
export function allowsHub(space: WiringSpace, school: School, hub: string): boolean {
  switch (school) {
    case "screen-hub":
      return hub !== space.system.id;
    case "sound-hub":
      return hub === space.system.id;
    default:
      return true;
  }
}

/** The schools that a plan may be of by what the brief asks for. */
export function schoolsWanted({ bonds }: WiringSpace): readonly School[] {
  const used = bonds.flatMap((bond) => (bond.bond === "use-school" ? [bond.school] : []));
  const forbidden = bonds.flatMap((bond) => (bond.bond === "forbid-school" ? [bond.school] : []));
  return SCHOOLS.filter((school) => (used.length === 0 || used.includes(school)) && !forbidden.includes(school));
}
