import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { stockName } from "@/core/text";
import { DEMO_STOCK } from "@/demo/demo-van";
import { openPage } from "@/ui/under-test/open-place";
import { StockPlace } from "./index";

const items = DEMO_STOCK.map((fields, index) => ({ id: `line-${index}`, ...fields }));
const [first] = items;
if (!first) throw new Error("the van is empty");
const nameOf = ({ what }: (typeof items)[number]) => stockName(what, "metric");
if (first.what.kind !== "cable") throw new Error("the first part of the van is a cable");
const need = (id: string) => ({ part: { kind: "cable" as const, id }, what: first.what as Extract<typeof first.what, { kind: "cable" }> });
const job = { id: "one", name: "Sail Loft", visitOn: null, reserved: [{ need: need("a-b"), item: first.id }], missing: [need("c-d")] };

describe("the van", () => {
  test("has a line for each part, with what is set aside and what is free", async () => {
    const { getByRole } = await openPage(<StockPlace items={items} damaged={[]} jobs={[job]} />);
    const [, ...lines] = within(getByRole("region", { name: "In the van" })).getAllByRole("row");
    expect(lines).toHaveLength(items.length);
    const cells = within(lines[0] ?? document.body)
      .getAllByRole("cell")
      .map(({ textContent }) => textContent);
    expect(cells.slice(1, 3)).toEqual(["1", String(first.count - 1)]);
  });

  test("lists what to restock by what is free, not by what is there", async () => {
    const few = items.map((item) => (item.id === first.id ? { ...item, count: 4, minimum: 4 } : item));
    const restock = async (jobs: readonly (typeof job)[]) => {
      const { getByRole, unmount } = await openPage(<StockPlace items={few} damaged={[]} jobs={jobs} />);
      const words = within(getByRole("region", { name: "To restock" }))
        .queryAllByRole("listitem")
        .map(({ textContent }) => textContent);
      unmount();
      return words.filter((one) => one?.startsWith(nameOf(first)));
    };
    expect(await restock([])).toEqual([]);
    expect(await restock([job])).toEqual([`${nameOf(first)}: 3 free, at least 4 wanted`]);
  });

  test("names what a job needs and the van does not have", async () => {
    const { getByRole } = await openPage(<StockPlace items={items} damaged={[]} jobs={[job]} />);
    const jobs = within(getByRole("region", { name: "Set aside for jobs" }));
    expect(jobs.getAllByRole("listitem").map(({ textContent }) => textContent)).toContain(`${nameOf(first)}: not in the van`);
  });

  test("says that nothing was changed where the server is away", async () => {
    const { findByText, getByRole, user } = await openPage(<StockPlace items={items} damaged={[]} jobs={[]} />);
    await user.click(getByRole("button", { name: `Take ${nameOf(first)} off the list` }));
    expect(await findByText("The server is not responding. Nothing was changed; try again when it is back.")).toBeTruthy();
  });
});
