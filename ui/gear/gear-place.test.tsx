import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { cableAt } from "@/core/job";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace } from "@/ui/under-test/open-place";
import { GearPlace } from "./index";

const loft = demoJob("sail-loft");
const hall = demoJob("village-hall");

describe("a back plate", () => {
  test("says of every socket what is plugged in there, or that it is free", async () => {
    const { getByRole } = await openPlace(<GearPlace />, hall);
    for (const device of hall.devices) {
      const plate = within(getByRole("list", { name: `Back plate of ${device.name}` })).getAllByRole("listitem");
      expect(plate).toHaveLength(device.ports.length);
      device.ports.forEach((port, index) => {
        const cable = cableAt(hall, { device: device.id, port: port.id });
        const far = cable && (cable.from.device === device.id ? cable.to : cable.from);
        expect(plate[index]?.textContent).toContain(port.label);
        expect(plate[index]?.textContent).toMatch(
          far ? (hall.devices.find(({ id }) => id === far.device)?.name ?? "") : /free$|covered by/,
        );
      });
    }
  });

  test("opens the story of its device, whose name can be changed there", async () => {
    const { getByRole, job, user } = await openPlace(<GearPlace />, loft);
    await user.click(getByRole("button", { name: "Bar", pressed: false }));
    const name = within(getByRole("complementary", { name: "The chosen device" })).getByRole("textbox", { name: "Name of the device" });
    await user.clear(name);
    await user.type(name, "Sound bar{Enter}");
    expect(job().devices.find(({ id }) => id === "bar")?.name).toBe("Sound bar");
    expect(getByRole("list", { name: "Back plate of Sound bar" })).toBeTruthy();
  });
});

describe("a setting", () => {
  test("that is planned otherwise than found says so beside it, and lowers what depends on it", async () => {
    const { getAllByText, getByRole, job, user } = await openPlace(<GearPlace />, loft, { search: "device=television" });
    const story = within(getByRole("complementary", { name: "The chosen device" }));
    await user.selectOptions(story.getByRole("combobox", { name: "eARC, as planned" }), "off");
    expect(
      job()
        .devices.find(({ id }) => id === "television")
        ?.settings.find(({ key }) => key === "earc"),
    ).toMatchObject({
      found: "on",
      planned: "off",
    });
    expect(getAllByText("found: on").length).toBeGreaterThan(0);
    expect(getByRole("button", { name: /^Undo: / })).toBeTruthy();
  });

  test("as left follows the plan until somebody records it", async () => {
    const { getByRole, user } = await openPlace(<GearPlace />, loft, { search: "device=television" });
    const left = within(getByRole("complementary", { name: "The chosen device" })).getByRole<HTMLSelectElement>("combobox", {
      name: "eARC, as left",
    });
    expect(left.selectedOptions[0]?.textContent).toBe("(on)");
    await user.selectOptions(left, "on");
    expect(left.selectedOptions[0]?.textContent).toBe("on");
  });
});

describe("a key", () => {
  test("opens the shelf, where words in any order find a device", async () => {
    const { findByRole, job, user } = await openPlace(<GearPlace />, loft);
    await user.keyboard("a");
    const field = await findByRole("combobox", { name: "Find on the shelf" });
    await user.type(field, "eARC TV{Enter}");
    expect(job().devices).toHaveLength(loft.devices.length + 1);
    expect(job().devices.at(-1)?.role).toBe("screen");
  });

  test("opens nothing while a name is typed", async () => {
    const { getByRole, queryByRole, user } = await openPlace(<GearPlace />, loft);
    await user.type(getByRole("textbox", { name: "Name of the device" }), "aw");
    expect(queryByRole("dialog")).toBeNull();
  });
});

test("a device that is taken away takes its cables with it, and comes back with them", async () => {
  const { getByRole, job, user } = await openPlace(<GearPlace />, loft, { search: "device=bar" });
  await user.click(within(getByRole("complementary", { name: "The chosen device" })).getByRole("button", { name: /^Remove/ }));
  expect(job().devices.some(({ id }) => id === "bar")).toBe(false);
  expect(job().cables.some(({ from, to }) => from.device === "bar" || to.device === "bar")).toBe(false);
  await user.click(getByRole("button", { name: /^Undo: / }));
  expect(job().devices).toEqual(loft.devices);
  expect(job().cables).toEqual(loft.cables);
});

test("an empty room says how to begin", async () => {
  const { getByRole } = await openPlace(<GearPlace />, { ...loft, devices: [], cables: [] });
  expect(getByRole("heading", { name: "No devices in this room yet" })).toBeTruthy();
  expect(getByRole("button", { name: /Write down the plugs/ })).toHaveProperty("disabled", true);
});
