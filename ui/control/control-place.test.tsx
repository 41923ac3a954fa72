import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { castOf, householdOf, judgeAll, remoteCardOf } from "@/core/cec";
import type { Job } from "@/core/job";
import { ACT_VERDICT_WORDS, actWords, deviceName, upperFirst } from "@/core/text";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace } from "@/ui/under-test/open-place";
import { ControlPlace } from "./index";

const hall = demoJob("village-hall");
const household = householdOf(hall);
const acts = judgeAll(household);
const screen = castOf(household).screen?.nature.device;
const wordsOf = (index: number) => {
  const judged = acts[index];
  if (!judged) throw new Error(`there is no act ${index}`);
  return upperFirst(actWords(hall, judged.act, screen));
};

describe("the acts", () => {
  test("stand with how each ends, as a word beside the shape", async () => {
    const { getByRole } = await openPlace(<ControlPlace />, hall);
    const table = within(getByRole("region", { name: "Acts" }));
    acts.forEach(({ verdict }, index) => {
      const row = table.getByRole("rowheader", { name: wordsOf(index) }).closest("tr");
      expect(row?.textContent).toContain(ACT_VERDICT_WORDS[verdict.verdict]);
    });
  });

  test("open at the first that does not go as wished, and tell the chosen one frame by frame", async () => {
    const odd = acts.findIndex(({ verdict }) => verdict.verdict !== "as-wished");
    const { getByRole, user } = await openPlace(<ControlPlace />, hall);
    expect(getByRole("button", { name: wordsOf(odd), pressed: true })).toBeTruthy();
    const other = acts.findIndex((_, index) => index !== odd);
    await user.click(getByRole("button", { name: wordsOf(other) }));
    expect(getByRole("button", { name: wordsOf(other), pressed: true })).toBeTruthy();
    expect(getByRole("button", { name: wordsOf(odd), pressed: false })).toBeTruthy();
  });

  test("count those that go as wished", async () => {
    const wished = acts.filter(({ verdict }) => verdict.verdict === "as-wished").length;
    const { getByText } = await openPlace(<ControlPlace />, hall);
    expect(getByText(`${wished} of ${acts.length} acts work as wanted`)).toBeTruthy();
  });
});

test("the remote card has a part for each remote, and every button on it", async () => {
  const { getAllByRole, getByRole } = await openPlace(<ControlPlace />, hall, { search: "view=card" });
  const card = remoteCardOf(acts);
  for (const { remote } of card) expect(getByRole("heading", { name: new RegExp(deviceName(hall, remote)) })).toBeTruthy();
  expect(getAllByRole("term")).toHaveLength(card.flatMap(({ buttons }) => buttons).length);
});

test("where a sound system takes no part in control, the page offers to plan that it does, and the acts go better for it", async () => {
  const loft = demoJob("sail-loft");
  const off: Job = {
    ...loft,
    devices: loft.devices.map((device) => ({
      ...device,
      settings: device.settings.map((setting) =>
        device.role === "sound" && setting.key === "cec" ? { ...setting, planned: "off" } : setting,
      ),
    })),
  };
  const wished = (job: Job) => judgeAll(householdOf(job)).filter(({ verdict }) => verdict.verdict === "as-wished").length;
  const { findAllByRole, job, user } = await openPlace(<ControlPlace />, off);
  const [first] = await findAllByRole("button", { name: "Plan this" });
  if (!first) throw new Error("nothing is offered");
  await user.click(first);
  expect(wished(job())).toBeGreaterThan(wished(off));
});

test("a room without players says how to begin", async () => {
  const { getByRole } = await openPlace(<ControlPlace />, { ...hall, devices: [], cables: [] });
  expect(getByRole("link").getAttribute("href")).toBe("gear");
});
