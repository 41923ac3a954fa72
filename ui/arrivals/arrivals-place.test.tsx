import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { solve, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { arrivalSentence, reasonSentence } from "@/core/text";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace } from "@/ui/under-test/open-place";
import { ArrivalsPlace } from "./index";

const boardOf = (job: Job): readonly Arrival[] => solve(job, "planned").rows;
const flat = demoJob("flat-4b");

describe("the board", () => {
  test("says of every row in one sentence who plays what, and how much of it arrives", async () => {
    const { getByRole } = await openPlace(<ArrivalsPlace />, flat);
    for (const row of boardOf(flat)) expect(getByRole("button", { name: arrivalSentence(flat, row) }).dataset["verdict"]).toBe(row.verdict);
  });

  test("opens at the first row that loses something, and says where", async () => {
    const lost = boardOf(flat).find(({ verdict }) => verdict !== "full");
    const [loss] = lost?.losses.filter(({ scope }) => scope === "path") ?? [];
    const { getByRole } = await openPlace(<ArrivalsPlace />, flat);
    const story = within(getByRole("complementary", { name: "The chosen row" }));
    expect(story.getByRole("heading", { name: "Where it is lost" })).toBeTruthy();
    expect(loss && story.getByText(reasonSentence(flat, loss.reason))).toBeTruthy();
  });

  test("of a room in which nothing is lost tells of no loss and offers no change", async () => {
    const loft = demoJob("sail-loft");
    expect(boardOf(loft).every(({ verdict }) => verdict === "full")).toBe(true);
    const { queryByRole, queryByText } = await openPlace(<ArrivalsPlace />, loft);
    expect(queryByRole("heading", { name: "Where it is lost" })).toBeNull();
    expect(queryByRole("checkbox", { name: /only what is lost/ })).toBeNull();
    expect(queryByText(/Try it/)).toBeNull();
  });

  test("shows what is lost alone where that is wanted, and all again", async () => {
    const all = boardOf(flat).length;
    const lost = boardOf(flat).filter(({ verdict }) => verdict !== "full").length;
    const { container, getByRole, user } = await openPlace(<ArrivalsPlace />, flat);
    const rows = () => container.querySelectorAll("[data-verdict]").length;
    expect(rows()).toBe(all);
    await user.click(getByRole("checkbox", { name: `only what is lost (${lost})` }));
    expect(rows()).toBe(lost);
    await user.click(getByRole("checkbox", { name: `only what is lost (${lost})` }));
    expect(rows()).toBe(all);
  });

  test("goes to the next row by the arrow key", async () => {
    const [first, second] = boardOf(flat);
    if (!first || !second) throw new Error("two rows are needed");
    const { getByRole, user } = await openPlace(<ArrivalsPlace />, flat);
    await user.click(getByRole("button", { name: arrivalSentence(flat, first) }));
    await user.keyboard("{ArrowDown}");
    const next = getByRole("button", { name: arrivalSentence(flat, second), pressed: true });
    expect(document.activeElement).toBe(next);
  });
});

describe("a receiver in all-channel stereo", () => {
  const stereo = demoJob("11-all-channel-stereo", "systems");
  const whole = (job: Job) => boardOf(job).filter(({ verdict }) => verdict === "full").length;

  test("gets its sound back by one setting, which is named with what it moved and can be taken back", async () => {
    const { findByRole, getByRole, getByText, job, user } = await openPlace(<ArrivalsPlace />, stereo);
    await user.click(await findByRole("button", { name: "Try it: Set “Sound mode” to auto at Receiver" }));
    expect(whole(job())).toBe(whole(stereo) + 1);
    expect(getByText(/ → /)).toBeTruthy();
    await user.click(getByRole("button", { name: /^Undo: / }));
    expect(job().devices).toEqual(stereo.devices);
  });

  test("has that setting as its smallest change, proven, with the other value that does as much", async () => {
    const { findByText } = await openPlace(<ArrivalsPlace />, stereo);
    expect(await findByText(/^Set “Sound mode” to auto at Receiver: lifts 1 row, lowers none\.$/)).toBeTruthy();
    expect(await findByText(/no smaller set does that\. Equally small: Set “Sound mode” to direct at Receiver\.$/)).toBeTruthy();
  });

  test("can have changes ticked to see what they do together, and nothing is changed before they are applied", async () => {
    const { findByRole, getByRole, job, user } = await openPlace(<ArrivalsPlace />, stereo, { search: "view=changes" });
    await user.click(await findByRole("checkbox", { name: /^Set “Sound mode” to auto at Receiver/ }));
    expect(getByRole("checkbox", { name: /^Set “Sound mode” to direct at Receiver/ })).toHaveProperty("disabled", true);
    expect(job()).toEqual(stereo);
    await user.click(getByRole("button", { name: "Apply 1 change" }));
    expect(whole(job())).toBe(whole(stereo) + 1);
  });
});

test("a fact that nobody knows is named as what the row depends on, each once", async () => {
  const system = demoJob("02-console-through-arc", "systems");
  const unread: Job = {
    ...system,
    devices: system.devices.map((device) => ({
      ...device,
      settings: device.settings.map((setting) => ({ ...setting, found: null, planned: null })),
    })),
  };
  const unknown = boardOf(unread).find(({ verdict }) => verdict === "unknown");
  const { getByRole, getAllByText } = await openPlace(<ArrivalsPlace />, unread, {
    search: `row=${encodeURIComponent(unknown?.id ?? "")}`,
  });
  expect(getByRole("heading", { name: "What is not known" })).toBeTruthy();
  const told = getAllByText(/^It depends on .+\.$/).map(({ textContent }) => textContent);
  expect(told.length).toBeGreaterThan(1);
  expect(new Set(told).size).toBe(told.length);
});

test("a room without a player asks for devices", async () => {
  const { getByRole } = await openPlace(<ArrivalsPlace />, { ...flat, devices: [], cables: [] });
  expect(getByRole("button", { name: "Add devices on Gear" })).toBeTruthy();
});

test("two states stand side by side: the one as found loses what the planned one has", async () => {
  const { findByRole } = await openPlace(<ArrivalsPlace />, demoJob("village-hall"), { search: "view=compare" });
  expect(await findByRole("combobox", { name: "The state on the left" })).toBeTruthy();
  expect(await findByRole("combobox", { name: "The state on the right" })).toBeTruthy();
});
