import { defaultPreferences, type Preferences } from "@/core/preferences";
import type { StockFields } from "@/core/stock";

const cable = (
  cableClass: Extract<StockFields["what"], { kind: "cable" }>["class"],
  lengthM: number,
  count: number,
  minimum: number,
  price: number,
): StockFields => ({
  what: { kind: "cable", class: cableClass, lengthM },
  count,
  minimum,
  price,
});
const box = (archetype: string, count: number, minimum: number, price: number): StockFields => ({
  what: { kind: "device", archetype },
  count,
  minimum,
  price,
});

/** The van of the made-up firm. */
export const DEMO_STOCK: readonly StockFields[] = [
  cable("ultra-high-speed", 1, 6, 4, 14),
  cable("ultra-high-speed", 2, 5, 4, 18),
  cable("ultra-high-speed", 3, 1, 2, 24),
  cable("premium-high-speed", 5, 3, 2, 26),
  cable("hybrid-optical-hdmi", 15, 1, 1, 95),
  cable("optical", 2, 4, 3, 9),
  cable("coaxial", 2, 2, 1, 8),
  { what: { kind: "wire", mm2: 1.5, lengthM: 25 }, count: 1, minimum: 1, price: 30 },
  { what: { kind: "wire", mm2: 2.5, lengthM: 50 }, count: 1, minimum: 1, price: 85 },
  box("earc-extractor-mixed", 1, 1, 120),
  box("arc-adapter", 1, 1, 65),
  box("edid-emulator", 2, 1, 30),
  box("dac-optical", 2, 1, 28),
  { what: { kind: "spare", name: "Hook-and-loop straps, pack of ten" }, count: 7, minimum: 3, price: 6 },
];

/** The sign of the made-up firm: eight strings, a PNG of 136 by 64. */
const SIGN =
  "data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAIgAAABAAQAAAADpegImAAAAm0lEQVR42r3Uuw2AMAwE0EMUlIyQUTJahBiAlaBiDSQWCB1FxKcAJGxsLApcvu" +
  "IcXQJY6eAHmT0TdwrOUUTOScFwnhiY+EPStUwWJWe2tDFwCYfEa5ksSs5kuYuOSUt63kcSNWe0vISaSUV6BjJB9Jze8g4LJjnpGZBEz2kM25eS" +
  "SUF6Bp7lJWd1hm8wOSblved9HuUtZ/Hf/gkbHb5rYd4pvtQAAAAASUVORK5CYII=";

export const DEMO_PREFERENCES: Preferences = {
  ...defaultPreferences(),
  currency: "cr",
  firm: { name: "Halyard & Reed, room sound", address: "3 Ropewalk Yard", phone: "ext. 27", picture: SIGN },
};
