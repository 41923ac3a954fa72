import type { CableClass } from "@/core/facts";
import type { WiringSpace } from "./space";
import type { Wire } from "./wires";

/** Whether a class does all that another is asked for: itself, and the newest copper whatever other copper does. */
export const servesAs = (have: CableClass, want: CableClass): boolean =>
  have === want || (have === "ultra-high-speed" && want === "premium-high-speed-ethernet");

/** New cables from the van as long as it has one of the class, or a better one, that is long enough, the shortest first; the others are bought. */
export function suppliedBy({ vanCables }: WiringSpace, wires: readonly Wire[]): readonly Wire[] {
  const left = vanCables.map((cable) => ({ cable, free: cable.free })).sort((a, b) => a.cable.lengthM - b.cable.lengthM);
  return wires.map((wire) => {
    if (wire.existing || wire.cable.supply !== "buy") return wire;
    const one = left.find(({ cable, free }) => free > 0 && servesAs(cable.class, wire.cable.class) && cable.lengthM >= wire.cable.lengthM);
    if (one) one.free -= 1;
    return { ...wire, cable: { ...wire.cable, class: one?.cable.class ?? wire.cable.class, supply: one ? "van" : "buy" } };
  });
}
