import { describe, expect, test } from "vitest";
import { device, planned, made, room } from "@/demo/room-under-test";
import { effectiveSetting } from "@/core/device";
import { choicesOf, combinations, menusOf, withSettings } from "./hub-settings";

const tv = device("tv-earc", "tv");

describe("what a planner sets", () => {
  test("tries what was found first, so that of equal settings the one that is left alone wins", () => {
    const job = made(room([tv]), planned("tv", "earc", "on"));
    const [found] = job.devices;
    const formats = choicesOf(found ?? tv, false).find(([first]) => first?.key === "digital-output");
    expect(formats?.[0]?.value).toBe(tv.settings.find(({ key }) => key === "digital-output")?.found);
    expect(new Set(formats?.map(({ value }) => value)).size).toBe(formats?.length);
  });

  test("never sets what a switch does not have, nor what is taste", () => {
    const choices = choicesOf(device("receiver-72", "receiver"), true).flat();
    const options = new Map(device("receiver-72", "receiver").settings.map(({ key, options: all }) => [key, all]));
    for (const { key, value } of choices) expect(options.get(key)).toContain(value);
    expect(choices.map(({ key }) => key)).not.toContain("upmix");
    expect(choices.map(({ key }) => key)).not.toContain("control-wakes");
  });

  test("leaves a screen that is the sound system itself on its own speakers", () => {
    expect(
      choicesOf(tv, true)
        .flat()
        .map(({ key }) => key),
    ).not.toContain("speakers");
    expect(choicesOf(tv, false).flat()).toContainEqual({ device: "tv", key: "speakers", value: "external" });
  });

  test("combines one of each, and no choice at all is one combination", () => {
    const choice = (key: "earc" | "arc", value: string) => ({ device: "tv", key, value });
    expect(combinations([])).toEqual([[]]);
    expect(combinations([[choice("earc", "on"), choice("earc", "off")], [choice("arc", "on")]])).toEqual([
      [choice("earc", "on"), choice("arc", "on")],
      [choice("earc", "off"), choice("arc", "on")],
    ]);
  });

  test("plans only what differs from what was found, and counts a menu for each", () => {
    const choices = [
      { device: "tv", key: "earc", value: "off" },
      { device: "bar", key: "earc", value: "off" },
    ] as const;
    const after = withSettings(tv, choices);
    expect(effectiveSetting(after, "earc", "planned")).toBe("off");
    expect(withSettings(after, [{ device: "tv", key: "earc", value: "on" }]).settings.find(({ key }) => key === "earc")?.planned).toBe(
      tv.settings.find(({ key }) => key === "earc")?.found === "on" ? null : "on",
    );
    expect(menusOf([tv], choices)).toBe(tv.settings.find(({ key }) => key === "earc")?.found === "off" ? 0 : 1);
    expect(after.ports).toBe(tv.ports);
  });
});
