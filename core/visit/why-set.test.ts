import { expect, test } from "vitest";
import { applyCommand, type Job } from "@/core/job";
import type { SettingKey } from "@/core/facts";
import { settingNeedWords } from "@/core/text";
import { demoJob } from "@/demo/demo-jobs";
import { needOfSetting } from "./why-set";

/** Sail Loft with a menu that was found at one value and is planned at another. */
function withMenu(device: string, setting: SettingKey, found: string, planned: string): Job {
  const states = [
    { state: "found", value: found },
    { state: "planned", value: planned },
  ] as const;
  return states.reduce((job, { state, value }) => {
    const applied = applyCommand(job, { kind: "set-setting", device, setting, state, value });
    if (!applied.ok) throw new Error(applied.refusal.code);
    return applied.value.job;
  }, demoJob("sail-loft"));
}

const need = (device: string, key: SettingKey, found: string, planned: string) =>
  needOfSetting(withMenu(device, key, found, planned), { device, setting: { key, value: planned } });

test("a disc player found at stereo PCM is set because its film would arrive in two channels", () => {
  const found = need("disc-player", "player-audio", "stereo", "auto");
  expect(found).toMatchObject({ need: "row", without: { arrives: { coding: "lpcm", channels: "2.0" } } });
  expect(found && settingNeedWords(demoJob("sail-loft"), found, "television")).toBe(
    "Left as found, Disc player, film, arrives as LPCM 2.0, and 1 more row is worse off.",
  );
});

test("a player that does not wake the screen is set because it would take a second key", () => {
  expect(need("streamer", "control-wakes", "off", "on")).toMatchObject({ need: "act", without: "with-a-step", more: 0 });
});

test("a menu on which nothing rests alone, one that is as found, and one that nobody looked at have no reason", () => {
  const job = withMenu("disc-player", "player-audio", "auto", "auto");
  expect(needOfSetting(job, { device: "disc-player", setting: { key: "player-audio", value: "auto" } })).toBeNull();
  expect(needOfSetting(job, { device: "nobody", setting: { key: "player-audio", value: "auto" } })).toBeNull();
  expect(needOfSetting(job, { device: "disc-player", setting: null })).toBeNull();
});
