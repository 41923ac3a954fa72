import { expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { device, room } from "@/demo/room-under-test";
import { arrivalsOf } from "@/core/chain";

const codes = (job: Parameters<typeof arrivalsOf>[0]) => arrivalsOf(job).flatMap(({ cautions }) => cautions.map(({ code }) => code));

test("boxes that are joined in ever more ways are looked at up to a bound, and the rows say that it is not all", () => {
  // Each box leads to the next by two cables: 2^19 ways from the first to the last.
  const boxes = Array.from({ length: 20 }, (_, index) => device("matrix-4x2", `m${index}`));
  const tangled = room(
    [device("tv-earc", "tv"), device("bar-one-input", "bar"), device("streamer-4k", "streamer"), ...boxes],
    "streamer hdmi-out > m0 hdmi-in1",
    ...boxes.slice(1).flatMap((_, index) => [`m${index} output-a > m${index + 1} hdmi-in1`, `m${index} output-b > m${index + 1} hdmi-in2`]),
    "m19 output-a > tv hdmi1",
  );
  expect(codes(tangled)).toContain("not-all-ways");
  expect(codes(demoJob("village-hall"))).not.toContain("not-all-ways");
});
