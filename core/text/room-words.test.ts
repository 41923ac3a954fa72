import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { roomAnswer } from "@/core/room";
import {
  angleWords,
  chargeSentence,
  loadSentence,
  mountingSentence,
  pairingStepWords,
  placingSentence,
  roomTroubleSentence,
  sheetLineWords,
  speechStepWords,
  spoilerSentence,
  upFiringSentence,
  wireSentence,
} from "@/core/text";

/** Everything that is said of the rooms of a job. */
function saidOf(name: string): readonly string[] {
  const job = demoJob(name);
  return job.rooms.flatMap((room) => {
    const answer = roomAnswer(job, room);
    return [
      ...answer.speakers.map((speaker) => placingSentence(speaker, speaker.placing, "metric")),
      ...answer.upFiring.map((way) =>
        way.spoiledBy ? spoilerSentence(job, room.id, way.spoiledBy, "imperial") : upFiringSentence(way, "metric"),
      ),
      ...answer.systems.flatMap(({ sheet, speech, pairing }) => [
        ...sheet.map((line) => Object.values(sheetLineWords(line)).join(": ")),
        ...speech.map(speechStepWords),
        ...pairing.map((step) => pairingStepWords(job, step)),
      ]),
      ...answer.wire.map((run) => wireSentence(run, "metric")),
      ...answer.loads.map((load) => loadSentence(job, load)),
      ...answer.mounting.map(mountingSentence),
      ...answer.charging.map(chargeSentence),
      ...answer.troubles.map((trouble) => roomTroubleSentence(job, room.id, trouble, "metric")),
    ];
  });
}

test.each(demoJobNames())("every sentence about the rooms of %s is whole", (name) => {
  const said = saidOf(name);
  expect(said.length).toBeGreaterThan(5);
  for (const sentence of said) {
    expect(sentence).toMatch(/\p{L}/u);
    expect(sentence).not.toMatch(/undefined|NaN|Infinity|null|\[object/);
  }
});

describe("words for a speaker", () => {
  test("angles name their side", () => {
    expect([30, -110.4, 0.2, 180].map(angleWords)).toEqual(["30° left", "110° right", "0°", "180°"]);
  });

  test("what is out of its window says where it belongs and how to get there", () => {
    const job = demoJob("receiver-den");
    const [room] = job.rooms;
    if (!room?.space) throw new Error("no room");
    const space = {
      ...room.space,
      placements: room.space.placements.map((row) => (row.unit === "l" ? { ...row, at: { x: 0.3, y: 0.35 } } : row)),
    };
    const answer = roomAnswer(job, { ...room, space });
    const left = answer.speakers.find(({ channel }) => channel === "L");
    expect(left && placingSentence(left, left.placing, "metric")).toMatch(
      /^Nearly right: \d+° off\. The front left belongs at 22 to 30° left, it is at \d+° left\. Move it [\d.]+\u2009m to the right along the wall\.$/,
    );
  });
});
