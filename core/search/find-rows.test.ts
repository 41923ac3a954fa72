import { expect, test } from "vitest";
import { SHELF } from "@/core/device";
import { makeFinder } from "./find-rows";

const find = makeFinder(SHELF.map(({ archetype, name, summary }) => ({ key: archetype, name, detail: summary })));
const names = (typed: string) => find(typed).map(({ name }) => name);
const keys = (typed: string) => find(typed).map(({ key }) => key);

test("“TV with eARC” finds the televisions with eARC, small words and capitals ignored", () => {
  expect(keys("TV with eARC")).toContain("tv-earc");
  expect(names("TV with eARC").slice(0, 3)).toEqual(["Television", "Television", "Television"]);
});

test("“bar” finds bars first, and nothing that only mentions one", () => {
  expect(names("bar")[0]).toMatch(/bar/i);
  expect(find("soundbars").map(({ key }) => key)).toContain("bar-one-input");
});

test.each([
  ["eARC television", "tv-earc"],
  ["screen earc", "tv-earc"],
  ["AVR", "receiver-72"],
  ["receivers", "receiver-72"],
  ["players disc 4K", "disc-player-4k"],
  ["toslink dac", "dac-optical"],
])("“%s” finds %s, in any order of the words", (typed, key) => expect(keys(typed)).toContain(key));

test("nothing typed, or only small words, is the whole list in its order", () => {
  expect(keys("")).toEqual(SHELF.map(({ archetype }) => archetype));
  expect(keys("with the ")).toEqual(SHELF.map(({ archetype }) => archetype));
});

test("a word that is nowhere finds nothing", () => expect(keys("flux capacitor")).toEqual([]));

test("accents do not matter, whichever way they are written", () => {
  const café = makeFinder([{ key: "one", name: "Caf\u00e9", detail: "" }]);
  expect(café("cafe")).toHaveLength(1);
  expect(café("cafe\u0301")).toHaveLength(1);
});
