import { describe, expect, test } from "vitest";
import { solve } from "@/core/chain";
import { breachesOf } from "@/core/job";
import { jobFromTemplate, TEMPLATES } from "@/core/template";

describe("templates of common rooms", () => {
  test("there are at least eight, each with a name of its own", () => {
    expect(TEMPLATES.length).toBeGreaterThanOrEqual(8);
    expect(new Set(TEMPLATES.map(({ id }) => id)).size).toBe(TEMPLATES.length);
  });

  test.each(TEMPLATES.map(({ id }) => id))("%s is a sound job in which every player is plugged and sounds", (id) => {
    const job = jobFromTemplate(id, "Room");
    if (!job) throw new Error("no template");
    expect(breachesOf(job)).toEqual([]);
    const { rows } = solve(job, "planned");
    for (const device of job.devices.filter(({ role }) => role === "player"))
      expect(rows.some(({ player, arrives }) => player === device.id && arrives !== null)).toBe(true);
  });
});
