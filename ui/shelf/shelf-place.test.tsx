import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { fromShelfOrThrow, SHELF } from "@/core/device";
import { openPage } from "@/ui/under-test/open-place";
import { ShelfPlace } from "./index";

const own = { id: "own-1", device: fromShelfOrThrow("tv-earc", { id: "tv", name: "Kestrel 55" }) };
const shelf = <ShelfPlace own={[own]} damaged={[]} recurring={[]} />;

describe("the shelf", () => {
  test("has every kind of device that ships, and one's own before them", async () => {
    const { getByRole } = await openPage(shelf);
    for (const [heading, role] of [
      ["Players", "player"],
      ["Screens", "screen"],
    ] as const)
      expect(within(getByRole("region", { name: heading })).getAllByRole("listitem")).toHaveLength(
        SHELF.filter((one) => one.role === role).length,
      );
    expect(within(getByRole("region", { name: "Your own" })).getByText("Kestrel 55")).toBeTruthy();
  });

  test("is found by words in any order, with what people call things", async () => {
    const { container, getByRole, user } = await openPage(shelf);
    await user.type(getByRole("textbox", { name: /Find/ }), "eARC television");
    expect(container.textContent).toContain(fromShelfOrThrow("tv-earc", { id: "tv" }).name);
  });

  test("says that nothing was changed where the server is away", async () => {
    const { findByText, getByRole, user } = await openPage(shelf);
    await user.click(getByRole("button", { name: "Take Kestrel 55 off the shelf" }));
    expect(await findByText("The server is not responding. Nothing was changed; try again when it is back.")).toBeTruthy();
  });
});
