import fc from "fast-check";
import { expect, test } from "vitest";
import { foundOut } from "@/demo/found-out-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { arrivalsOf, bestUpperBound, makeRig } from "@/core/chain";
import { findDevice, type Job } from "@/core/job";

test("whatever is found out on site, a row that was not “not known” stays as it was told, or another way was said to bring more perhaps", () => {
  const rows = { told: 0, "not known": 0, "perhaps more": 0 };
  fc.assert(
    fc.property(spelledRooms, fc.array(fc.nat(), { minLength: 40, maxLength: 40 }), (job, numbers) => {
      const after = new Map(arrivalsOf(foundOut(job, numbers)).map((row) => [row.id, row]));
      for (const row of arrivalsOf(job)) {
        const now = after.get(row.id);
        if (!now || row.soundVerdict === "unknown") {
          rows["not known"] += 1;
        } else if (row.losses.some(({ reason }) => reason.code === "other-way-unknown")) {
          rows["perhaps more"] += 1;
          expect(now.soundRank, row.id).toBeGreaterThanOrEqual(row.soundRank);
        } else {
          rows.told += 1;
          expect([now.soundVerdict, now.soundRank], row.id).toEqual([row.soundVerdict, row.soundRank]);
        }
      }
    }),
    tries(600, 20_000, 5),
  );
  expect(Math.min(...Object.values(rows)), JSON.stringify(rows)).toBeGreaterThan(0);
}, 900_000);

/** The same room with a standard picture mode of 10.2 Gb/s at every socket of 18 whose device has a menu for it. */
const withPictureModes = (job: Job): Job => ({
  ...job,
  devices: job.devices.map((device) => ({
    ...device,
    ports: device.ports.map((port) =>
      port.connector === "hdmi" && port.maxGbps === 18 && device.settings.some(({ key }) => key === "signal-format")
        ? { ...port, standardGbps: 10.2 }
        : port,
    ),
  })),
});

test("whatever is found out on site, a picture that depended on nothing unknown stays as it was told", () => {
  const rows = { told: 0, unsure: 0 };
  fc.assert(
    fc.property(spelledRooms.map(withPictureModes), fc.array(fc.nat(), { minLength: 40, maxLength: 40 }), (job, numbers) => {
      const after = new Map(arrivalsOf(foundOut(job, numbers)).map((row) => [row.id, row]));
      for (const { id, picture, pictureLosses } of arrivalsOf(job)) {
        const now = after.get(id);
        const isUnsure = pictureLosses.some(({ code }) => code === "picture-unknown" || code === "picture-setting-unknown");
        rows[isUnsure ? "unsure" : "told"] += 1;
        if (now && !isUnsure) expect(now.picture, id).toEqual(picture);
      }
    }),
    tries(600, 20_000, 7),
  );
  expect(Math.min(...Object.values(rows)), JSON.stringify(rows)).toBeGreaterThan(0);
}, 900_000);

test("a row is “not known” only where some answer could make it sound", () => {
  fc.assert(
    fc.property(spelledRooms, (job) => {
      const rig = makeRig(job, "planned");
      for (const { id, soundVerdict, content, source, ...row } of arrivalsOf(job)) {
        const [player, system] = [findDevice(job, row.player), row.system === null ? undefined : findDevice(job, row.system)];
        if (soundVerdict !== "unknown" || !player || !system) continue;
        const freedom = { plugs: false, cables: false, settings: "as-known" } as const;
        expect(bestUpperBound(rig, { player, source, content, system, freedom }), id).not.toBeNull();
      }
    }),
    tries(400, 10_000, 6),
  );
}, 900_000);
