import { waitFor, within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { cableAt } from "@/core/job";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace, type OpenPlace } from "@/ui/under-test/open-place";
import { PatchPlace } from "./index";

const loft = demoJob("sail-loft");
const hall = demoJob("village-hall");
const margin = ({ getByRole }: OpenPlace) => within(getByRole("complementary", { name: "What is chosen on the map" }));

describe("the map", () => {
  test("has a button for every socket, which says what is plugged in there", async () => {
    const { container } = await openPlace(<PatchPlace />, hall);
    for (const device of hall.devices)
      for (const port of device.ports) {
        const socket = container.querySelector(`[data-socket="${device.id}/${port.id}"]`)?.getAttribute("aria-label");
        const cable = cableAt(hall, { device: device.id, port: port.id });
        expect(socket).toContain(`${device.name}, ${port.label}, `);
        expect(socket).toMatch(cable ? /holds the cable of / : /: free$/);
      }
  });

  test("without devices says how to begin", async () => {
    const { getByRole } = await openPlace(<PatchPlace />, { ...loft, devices: [], cables: [] });
    expect(getByRole("heading", { name: "No back plate to plug into yet" })).toBeTruthy();
  });
});

describe("a plug that is picked up", () => {
  const opticalOf = (id: string) => {
    const port = loft.devices.find((device) => device.id === id)?.ports.find(({ connector }) => connector === "optical");
    if (!port || cableAt(loft, { device: id, port: port.id })) throw new Error(`${id} has no free optical socket`);
    return `[data-socket="${id}/${port.id}"]`;
  };
  const pickedUp = async (): Promise<OpenPlace> => {
    const place = await openPlace(<PatchPlace />, loft);
    const socket = place.container.querySelector(opticalOf("bar"));
    if (socket) await place.user.click(socket);
    return place;
  };

  test("says of every other socket whether it fits, and if not why", async () => {
    const place = await pickedUp();
    const spoken = (socket: string) => place.container.querySelector(socket)?.getAttribute("aria-label");
    await waitFor(() => expect(spoken(opticalOf("bar"))).toMatch(/chosen as one end$/));
    expect(spoken(opticalOf("television"))).toMatch(/can take the plug$/);
    const refused = [...place.container.querySelectorAll('[data-socket^="television/hdmi"]')];
    expect(refused.length).toBeGreaterThan(0);
    for (const socket of refused) expect(socket.getAttribute("title")).toMatch(/\.$/);
    await place.user.click(margin(place).getByRole("button", { name: "Put the plug down" }));
    await waitFor(() => expect(spoken(opticalOf("bar"))).toMatch(/free$/));
  });

  test("makes a cable with the other end, chosen by its name alone", async () => {
    const place = await pickedUp();
    await place.user.type(
      await margin(place).findByRole("combobox", { name: /^The other end of the cable from Bar/ }),
      "television{Enter}",
    );
    expect(place.job().cables).toHaveLength(loft.cables.length + 1);
    expect(place.job().cables.at(-1)).toMatchObject({ from: { device: "television" }, to: { device: "bar" } });
  });
});

describe("a chosen cable", () => {
  const [cable] = loft.cables;
  if (!cable) throw new Error("the loft has cables");
  const search = `cable=${cable.id}`;

  test("can be another one, made without the control wire", async () => {
    const place = await openPlace(<PatchPlace />, loft, { search });
    await place.user.click(margin(place).getByRole("combobox", { name: "Control wire of the cable" }));
    await place.user.click(await place.findByTitle("made without it"));
    expect(place.job().cables.find(({ id }) => id === cable.id)?.controlWire).toBe(false);
  });

  test("can be unplugged, which lowers what came over it, and be taken back", async () => {
    const place = await openPlace(<PatchPlace />, loft, { search });
    await place.user.click(margin(place).getByRole("button", { name: "Unplug it" }));
    expect(place.job().cables.some(({ id }) => id === cable.id)).toBe(false);
    await place.user.click(place.getByRole("button", { name: /^Undo: / }));
    expect(place.job().cables).toEqual(loft.cables);
  });

  test("takes a mark of one's own", async () => {
    const place = await openPlace(<PatchPlace />, loft, { search });
    const mark = margin(place).getByRole("textbox", { name: "Mark of the cable" });
    await place.user.clear(mark);
    await place.user.type(mark, "K7{Enter}");
    expect(place.job().cables.find(({ id }) => id === cable.id)?.label).toBe("K7");
  });
});
