import type { Supply } from "@/core/device";

/** Where a part comes from, as it is chosen. */
export const SUPPLY_OPTIONS: { value: Supply; label: string }[] = [
  { value: "there", label: "is there" },
  { value: "van", label: "from the van" },
  { value: "buy", label: "to buy" },
];
