import type { Attachment } from "@/core/job";

/** For tests: a photo that a document names, one of many. */
export const photoNamed = (index: number): Attachment => ({
  id: `00000000-0000-4000-8000-${String(index).padStart(12, "0")}`,
  name: "back",
  type: "image/jpeg",
  bytes: 10,
  device: null,
});

/** For tests: a copy of a value in which one of its parts is replaced, wherever it is, chosen by a number. Fields that are named stay. */
export function spoiled(value: object, which: number, put: unknown, staying: readonly string[] = []): Record<string, unknown> {
  const copy = structuredClone(value) as Record<string, unknown>;
  const places: [Record<string, unknown>, string][] = [];
  const visit = (holder: Record<string, unknown>) =>
    Object.keys(holder).forEach((key) => {
      if (!staying.includes(key)) places.push([holder, key]);
      const inner = holder[key];
      if (typeof inner === "object" && inner !== null) visit(inner as Record<string, unknown>);
    });
  visit(copy);
  const [holder, key] = places[which % places.length] ?? [];
  if (holder && key) holder[key] = put;
  return copy;
}
