import ICAL from "ical.js";
import { expect, test } from "vitest";
import { dueCalendar, visitCalendar, type CalendarVisit } from "./index";

const visit: CalendarVisit = {
  id: "7c0ce1f2-6f0a-4d52-9d21-0f1c9c2c2b11",
  revision: 4,
  day: "2026-12-01",
  from: 9 * 60,
  to: 11 * 60 + 30,
  title: "Flat 4B; Ms. Ode, third floor",
  address: "12, Mill Lane\nRing twice",
  words: "Load: Ultra High Speed HDMI, 2 m.\nAsk: how “eARC” is set; “ARC”, too.",
  isTentative: false,
};

/** Reads a calendar with a program that shares nothing with the one that wrote it. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0])
    .getAllSubcomponents("vevent")
    .map((event) => new ICAL.Event(event));

test("another program reads from the file what went in, commas, semicolons and line ends too", () => {
  const [event] = read(visitCalendar([visit]));
  expect(event?.summary).toBe(visit.title);
  expect(event?.location).toBe(visit.address);
  expect(event?.description).toBe(visit.words);
  expect(event?.uid).toBe(`${visit.id}@octachord`);
  expect(event?.sequence).toBe(4);
});

test("nine o'clock is nine o'clock wherever the file is opened: times float", () => {
  const [event] = read(visitCalendar([visit]));
  expect(event?.startDate.toString()).toBe("2026-12-01T09:00:00");
  expect(event?.startDate.zone?.tzid).toBe("floating");
  expect(event?.duration.toString()).toBe("PT2H30M");
});

test("a visit past midnight ends the next day, also at the end of a year", () => {
  const [event] = read(visitCalendar([{ ...visit, day: "2026-12-31", from: 22 * 60, to: 25 * 60 }]));
  expect(event?.endDate.toString()).toBe("2027-01-01T01:00:00");
});

test("each visit is an event of its own; a time that nobody was told is tentative", () => {
  const text = visitCalendar([visit, { ...visit, id: "b", isTentative: true }]);
  expect(read(text)).toHaveLength(2);
  expect(text.match(/^STATUS:.*/gm)?.map((line) => line.trim())).toEqual(["STATUS:CONFIRMED", "STATUS:TENTATIVE"]);
});

test("what is due is a whole day that keeps nobody busy, read by another program", () => {
  const text = dueCalendar([
    {
      id: "a",
      day: "2027-02-28",
      title: "Flat 4B; check the firmware, all of it",
      address: "12, Mill Lane",
      words: "Every device.\nSince 2026",
    },
    { id: "b", day: "2028-02-29", title: "Batteries", address: "", words: "" },
  ]);
  const [one, other] = read(text);
  expect(one?.summary).toBe("Flat 4B; check the firmware, all of it");
  expect(one?.description).toBe("Every device.\nSince 2026");
  expect(one?.startDate.isDate).toBe(true);
  expect(one?.startDate.toString()).toBe("2027-02-28");
  expect(one?.endDate.toString()).toBe("2027-03-01");
  expect(other?.startDate.toString()).toBe("2028-02-29");
  expect(text.match(/^TRANSP:TRANSPARENT/gm)).toHaveLength(2);
});
