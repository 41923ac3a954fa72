import type { Supply } from "@/core/device";
import { kitWords } from "@/ui/words";

/** Where a part comes from, as it is chosen. */
export const SUPPLY_OPTIONS: { value: Supply; label: string }[] = [
  { value: "there", label: kitWords.isThere },
  { value: "van", label: kitWords.fromTheVan },
  { value: "buy", label: kitWords.toBuy },
];
