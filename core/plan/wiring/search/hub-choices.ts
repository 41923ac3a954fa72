import { mayTakeReturn, type Device } from "@/core/device";
import type { Cable } from "@/core/job";
import type { Topology } from "../topology";
import { choicesOf, isLead, reachOf, type SettingChoice, type Wire, type WiringSpace } from "../space";

/** Settings that matter even at a hub that passes no sound to the sound system: control, and its own speakers. */
const WITHOUT_SOUND: ReadonlySet<string | undefined> = new Set(["cec", "speakers"]);

/** The values to try for a hub's settings. Where it passes no sound to the sound system most settings change nothing, so only their first value is tried. */
export function hubChoices(space: WiringSpace, topology: Topology, hub: Device): readonly (readonly SettingChoice[])[] {
  const choices = choicesOn(space, topology, hub);
  if (choices.every((values) => values.length === 1) || space.job.brief.newsFrom === "screen") return choices;
  const reach = reachOf(space, topology);
  const entries = [...hub.ports, ...hub.sources].map(({ id }) => ({ device: hub.id, port: id }));
  return entries.some((entry) => reach(entry).sounds)
    ? choices
    : choices.map((values) => (WITHOUT_SOUND.has(values[0]?.key) ? values : values.slice(0, 1)));
}

/**
 * The values to try on a topology: Bluetooth on where something is paired with it; the return channel also off where a lead
 * for sound leaves the same screen, because then one of the two paths has to be switched off.
 */
export function choicesOn(space: WiringSpace, { wires }: Topology, hub: Device): readonly (readonly SettingChoice[])[] {
  const leaves = (kind: (cable: Cable) => boolean) => wires.some(({ cable }) => cable.from.device === hub.id && kind(cable));
  const isPaired = leaves((cable) => cable.class === "bluetooth");
  const hasLead =
    space.screens.includes(hub) &&
    leaves(isLead) &&
    (space.players.some(mayTakeReturn) || wires.some((wire) => isReturn(space, wire, hub)));
  return choicesOf(hub, hub.id === space.system.id && space.screens.includes(hub)).flatMap((values) => {
    const [first] = values;
    if (first?.key === "bluetooth" && !isPaired) return [];
    if (!hasLead || (first?.key !== "arc" && first?.key !== "earc")) return [values];
    const row = hub.settings.find(({ key }) => key === first.key);
    const isTried = values.some(({ value }) => value === "off");
    return [row?.options.includes("off") && !isTried ? [...values, { ...first, value: "off" }] : values];
  });
}

/** Whether a return channel could run along a wire into a hub. */
function isReturn({ system, boxes }: WiringSpace, { cable: { from, to } }: Wire, hub: Device): boolean {
  const device = [system, ...boxes.map((box) => box.device)].find(({ id }) => id === from.device);
  return to.device === hub.id && device !== undefined && mayTakeReturn(device);
}
