import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { roomAnswer } from "@/core/room";
import { channelName, deviceName, upperFirst } from "@/core/text";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace, type OpenPlace } from "@/ui/under-test/open-place";
import { RoomPlace } from "./index";

const den = demoJob("receiver-den");
const room = den.rooms.find(({ space }) => space);
if (!room) throw new Error("the den is measured");
const answer = roomAnswer(den, room);

describe("a room that nobody has measured", () => {
  test("begins with its width, depth and height, and a seat", async () => {
    const { getByRole, job, user } = await openPlace(<RoomPlace />, { ...den, rooms: [] });
    const width = getByRole("textbox", { name: "Width of the room" });
    await user.clear(width);
    await user.type(width, "5{Tab}");
    await user.click(getByRole("button", { name: "Draw this room" }));
    const space = job().rooms[0]?.space;
    const xs = space?.outline?.map(({ x }) => x) ?? [];
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(5);
    expect(space?.seats).toHaveLength(1);
  });
});

describe("what to dial", () => {
  const rowsOf = (place: OpenPlace, device: string) =>
    within(place.getByRole("region", { name: deviceName(den, device) })).getAllByRole("rowheader");

  test("stands for every sound system, with a line for each of its speakers", async () => {
    const place = await openPlace(<RoomPlace />, den, { search: "view=dials" });
    expect(answer.systems.length).toBeGreaterThan(0);
    for (const { device } of answer.systems)
      expect(rowsOf(place, device).map(({ textContent }) => textContent)).toEqual(
        answer.speakers.filter((one) => one.device.id === device).map(({ channel }) => upperFirst(channelName(channel))),
      );
  });

  test("takes a distance as the tape has it, and goes on to the next speaker", async () => {
    const [speaker] = answer.speakers;
    if (!speaker) throw new Error("the den has speakers");
    const place = await openPlace(<RoomPlace />, den, { search: "view=dials" });
    const [first, second] = [...place.container.querySelectorAll<HTMLInputElement>('[data-reading="distance"] input')];
    if (!first) throw new Error("there is no field for a distance");
    await place.user.clear(first);
    await place.user.type(first, "3.33{Enter}");
    const readings = place.job().rooms.find(({ id }) => id === room.id)?.space?.readings ?? [];
    expect(readings).toContainEqual(
      expect.objectContaining({ device: speaker.device.id, channel: speaker.channel, of: "distance", value: 3.33, by: "tape" }),
    );
    expect(document.activeElement).toBe(second);
  });
});
