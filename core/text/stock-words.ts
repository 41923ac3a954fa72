import { cableClassFact } from "@/core/facts";
import { findArchetype } from "@/core/device";
import type { StockWhat } from "@/core/stock";
import { formatLength, type UnitSystem } from "@/core/units";

/** A part of the van's list by name: "Ultra High Speed HDMI, 2 m". */
export function stockName(what: StockWhat, units: UnitSystem = "metric"): string {
  switch (what.kind) {
    case "cable":
      return `${cableClassFact(what.class).name}, ${formatLength(what.lengthM, units)}`;
    case "device":
      return findArchetype(what.archetype)?.name ?? what.archetype;
    case "wire":
      return `speaker wire ${what.mm2}\u2009mm², ${formatLength(what.lengthM, units)}`;
    case "spare":
      return what.name;
  }
}
