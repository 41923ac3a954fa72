import fc from "fast-check";
import type { ReactNode } from "react";
import { expect, test } from "vitest";
import { eventOf, householdOf, judgeAll } from "@/core/cec";
import { solve } from "@/core/chain";
import { NO_HISTORY } from "@/core/diagnose";
import type { Job } from "@/core/job";
import { proofChecks } from "@/core/proof";
import { runSheet, USUAL_MINUTES } from "@/core/visit";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { disturbedRooms } from "@/demo/disturbed-room-under-test";
import { namedForReading, proofRead } from "@/demo/proof-reading-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { ArrivalsPlace } from "@/ui/arrivals";
import { BriefPlace } from "@/ui/brief";
import { ControlPlace } from "@/ui/control";
import { FixPlace } from "@/ui/fix";
import { GearPlace } from "@/ui/gear";
import { HandoverPlace } from "@/ui/handover";
import { PatchPlace } from "@/ui/patch";
import { RoomPlace } from "@/ui/room";
import { openPlace } from "@/ui/under-test/open-place";
import { ProvePlace, RunSheetPlace } from "@/ui/visit";

const ROOMS = fc.oneof(anyRoom.map(anyJob), spelledRooms, disturbedRooms).map(namedForReading);

/** What can be chosen on a place, as its address has it. */
type Choices = (job: Job) => readonly string[];
const choice = (name: string, value: string) => `${name}=${encodeURIComponent(value)}`;
const rowsOf: Choices = (job) => solve(job, "planned").rows.map(({ id }) => choice("row", id));

const PLACES: readonly (readonly [string, ReactNode, Choices])[] = [
  ["Arrivals", <ArrivalsPlace key="arrivals" />, (job) => ["view=compare", ...rowsOf(job)]],
  ["Brief", <BriefPlace key="brief" />, () => [""]],
  [
    "Control",
    <ControlPlace key="control" />,
    (job) => ["view=card", "view=habits", ...judgeAll(householdOf(job)).map(({ act }) => choice("act", eventOf(act)))],
  ],
  [
    "Gear",
    <GearPlace key="gear" />,
    ({ devices }) =>
      devices.flatMap(({ id }) => ["settings", "facts", "units", "edid"].map((tab) => `${choice("device", id)}&show=${tab}`)),
  ],
  ["Patch", <PatchPlace key="patch" />, (job) => [...job.cables.map(({ id }) => choice("cable", id)), ...rowsOf(job)]],
  ["Room", <RoomPlace key="room" />, () => ["", "view=dials", "view=wire"]],
  [
    "Prove",
    <ProvePlace key="prove" />,
    (job) =>
      proofChecks(job, householdOf(job, "planned"), solve(job, "planned").rows).map(
        ({ check, id }) => `kind=${check}&${choice("check", id)}`,
      ),
  ],
  [
    "Run sheet",
    <RunSheetPlace key="runsheet" minutes={USUAL_MINUTES} />,
    (job) => runSheet(job, 1).steps.map(({ id }) => choice("step", id)),
  ],
  ["Handover", <HandoverPlace key="handover" firm={NO_HISTORY} />, () => ["", "view=record"]],
  ["Fix", <FixPlace key="fix" firm={NO_HISTORY} />, () => [""]],
];

/** What stands within a sentence. */
const INLINE = "b, i, em, s, code, kbd, q, a";

/** What is written on a page, each run of words by itself. */
function writtenIn(element: Element): readonly string[] {
  const runs = [""];
  for (const node of element.childNodes)
    if (node instanceof Text || (node instanceof Element && node.matches(INLINE))) runs.push((runs.pop() ?? "") + (node.textContent ?? ""));
    else if (node instanceof Element) runs.push(...writtenIn(node), "");
  return runs.map((words) => words.replaceAll(/\s+/g, " ").trim()).filter(Boolean);
}

/** The same, with what is there for screen readers alone. */
const textsOn = (page: Element): readonly string[] => [
  ...writtenIn(page),
  ...[...page.querySelectorAll("*")].flatMap((element) =>
    ["aria-label", "title", "placeholder", "alt"].flatMap((name) => element.getAttribute(name) ?? []),
  ),
];

/** Everything that can be pressed, filled in or chosen and has nothing that it is called by. */
const unnamedOn = (page: Element): readonly string[] =>
  [...page.querySelectorAll("button, a, input:not([hidden]), select, textarea, [role=button], [role=combobox]")]
    .filter((element) => !isNamed(element))
    .map(({ outerHTML }) => outerHTML.slice(0, 200));

const isNamed = (element: Element): boolean =>
  ["aria-label", "aria-labelledby", "title", "placeholder"].some((name) => element.getAttribute(name)) ||
  /\S/.test(element.textContent ?? "") ||
  ("labels" in element && element.labels instanceof NodeList && element.labels.length > 0);

/** So many choices of a place are opened in each room. */
const OPENED = 3;

test.each(PLACES)(
  "%s shows rooms of every kind: nothing throws, every field has a name, and every text is made of words",
  async (_name, place, choices) => {
    await fc.assert(
      fc.asyncProperty(ROOMS, fc.array(fc.nat(999), { minLength: OPENED, maxLength: OPENED }), async (job, picks) => {
        const all = choices(job);
        for (const search of new Set(picks.map((pick) => all[pick % all.length] ?? ""))) {
          const { container, unmount } = await openPlace(place, job, { search });
          expect(container.textContent).not.toBe("");
          proofRead(textsOn(container));
          expect(unnamedOn(container)).toEqual([]);
          unmount();
        }
      }),
      // A smaller room would take minutes to find; the one that failed is printed.
      { ...tries(2, 60, 20_261_129), endOnFailure: true },
    );
  },
);
