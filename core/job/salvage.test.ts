import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { photoNamed, spoiled } from "@/demo/spoiled-under-test";
import { attachmentTypeOf, readJob, salvageJob, typedWords } from "@/core/job";

describe("saving what reads of a broken document", () => {
  test("leaves out the one device that is broken and the cables in it, and names the places", () => {
    const job = structuredClone(demoJob("sail-loft")) as unknown as { devices: Record<string, unknown>[] };
    const at = job.devices.findIndex(({ id }) => id === "console");
    job.devices[at] = { ...job.devices[at], archetype: null, role: "toaster" };
    const saved = salvageJob(job);
    if (!saved.ok) throw new Error("not saved");
    expect(saved.value.job.devices.map(({ id }) => id)).not.toContain("console");
    expect(saved.value.job.cables.every(({ from, to }) => from.device !== "console" && to.device !== "console")).toBe(true);
    expect(saved.value.leftOut).toContain(`devices[${at}]`);
    expect(JSON.stringify(job.devices[at])).toContain("toaster");
  });

  test("a field alone is left out where that is enough, and lists that are too long lose their end", () => {
    const job = demoJob("sail-loft");
    const saved = salvageJob({
      ...job,
      brief: { ...job.brief, soundSystem: "nobody" },
      attachments: Array.from({ length: 101 }, (_, index) => photoNamed(index)),
    });
    if (!saved.ok) throw new Error("not saved");
    expect(saved.value.leftOut.toSorted()).toEqual(["attachments[100]", "brief.soundSystem"]);
    expect(saved.value.job).toEqual({ ...job, brief: { ...job.brief, soundSystem: null }, attachments: saved.value.job.attachments });
    expect(saved.value.job.attachments).toHaveLength(100);
  });

  test("whatever single value of a document is spoiled, what comes out is sound or it is refused", () => {
    fc.assert(
      fc.property(fc.constantFrom(...demoJobNames()), fc.nat(), fc.jsonValue(), (name, which, value) => {
        const saved = salvageJob(spoiled(demoJob(name), which, value));
        if (saved.ok) expect(readJob(saved.value.job).ok).toBe(true);
      }),
      { numRuns: 150, seed: 41 },
    );
  });

  test("anything else is refused, never guessed", () => {
    for (const raw of [null, 7, [], { format: "other" }, { format: "octachord-job", version: 99 }]) expect(salvageJob(raw).ok).toBe(false);
  });
});

test("a picture is known by its bytes, whatever it is called", () => {
  expect(attachmentTypeOf(new Uint8Array([0xff, 0xd8, 0xff, 0xe0]))).toBe("image/jpeg");
  expect(attachmentTypeOf(new TextEncoder().encode("RIFF\0\0\0\0WEBPVP8 "))).toBe("image/webp");
  expect(attachmentTypeOf(new TextEncoder().encode("RIFF\0\0\0\0AVI "))).toBeNull();
  expect(attachmentTypeOf(new TextEncoder().encode("<svg onload=alert(1)>"))).toBeNull();
  expect(attachmentTypeOf(new Uint8Array())).toBeNull();
});

test("a search finds what was typed anywhere: rooms, prints, labels, the household", () => {
  const job = demoJob("sail-loft");
  const words = typedWords({
    ...job,
    rooms: [{ id: "r", name: "Net Store", seats: 2, space: null }],
    brief: { ...job.brief, household: "Grandmother" },
    cables: job.cables.map((cable) => ({ ...cable, label: "Kabel 7", tags: { from: "", to: "Behind the mast" } })),
  });
  for (const word of ["net store", "grandmother", "kabel 7", "behind the mast", "hdmi 3 earc"]) expect(words).toContain(word);
});
