import fc from "fast-check";
import { expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { tries } from "@/demo/tries-under-test";
import { solve } from "@/core/chain";
import { householdSheet, type SheetFact, type Use } from "@/core/handover";
import { findPort, type CableEnd, type Job } from "@/core/job";
import { SHEET_WORDS } from "@/core/text";

/*
 * The sheet is followed here as somebody in the room would: what is named is switched on, what is chosen is chosen, and then sound and
 * picture are looked for along the cables as they are plugged. Nothing is used of how the sheet was made.
 */
const SOURCE = { firm: { name: "Firm", phone: "12" }, faults: null };
type Press = Extract<SheetFact, { says: "press" }>["press"];

/** What the sheet says of each way to use the room: the players, and every key. */
function waysOnSheet(job: Job) {
  const sections = householdSheet(job, SOURCE).sections;
  const ways: { readonly players: readonly string[]; readonly presses: Press[]; isAlone: boolean }[] = [];
  for (const { fact } of sections.find(({ id }) => id === "use")?.lines ?? []) {
    const way = ways.at(-1);
    if (fact.says === "use") ways.push({ players: fact.players.map(({ player }) => player), presses: [], isAlone: true });
    else if (fact.says === "also-on") ways.push({ players: [], presses: [], isAlone: false });
    else if (way && fact.says === "press") way.presses.push(fact.press);
    else if (way && (fact.says === "wakes" || fact.says === "press-own-power")) way.isAlone = false;
  }
  return { ways, sound: (sections.find(({ id }) => id === "sound")?.lines ?? []).map(({ fact }) => fact) };
}

const label = (job: Job, end: CableEnd): string => findPort(job, end)?.label ?? end.port;

/** Everything that signals from a device come to, where each device that somebody turned listens to that input alone. */
function reachedFrom(job: Job, from: string, chosen: ReadonlyMap<string, string | null>): ReadonlySet<string> {
  const listens = (end: CableEnd) => !chosen.has(end.device) || chosen.get(end.device) === label(job, end);
  const seen = new Set([from]);
  for (const device of seen)
    for (const { from: out, to } of job.cables) {
      if (out.device === device && listens(to)) seen.add(to.device);
      const isBack = to.device === device && job.devices.some(({ id, role }) => id === out.device && role === "sound");
      if (isBack && listens(out)) seen.add(out.device);
    }
  return seen;
}

const ROOMS: readonly Job[] = [
  ...demoJobNames().map((name) => demoJob(name)),
  ...demoJobNames("systems").map((name) => demoJob(name, "systems")),
];

test("who follows the sheet by hand switches on what the sound passes, and turns it to where it comes in", () => {
  let [byHand, turned] = [0, 0];
  fc.assert(
    fc.property(fc.oneof({ weight: 9, arbitrary: anyRoom.map(anyJob) }, fc.constantFrom(...ROOMS)), (job) => {
      const idOf = (name: string) => job.devices.find((device) => device.name === name)?.id ?? "";
      const { rows } = solve(job, "planned");
      for (const { players, presses, isAlone } of waysOnSheet(job).ways) {
        const [name] = players;
        if (!isAlone || name === undefined || presses.length < 2) continue;
        const player = idOf(name);
        const on = new Set(presses.flatMap(({ device, key }) => (key === "power" ? [idOf(device)] : [])));
        const chosen = new Map(presses.flatMap((one) => (one.key === "input" ? [[idOf(one.device), one.input] as const] : [])));
        const heard = rows.find((row) => row.player === player && row.plays !== null);
        if (!heard?.system) continue;
        byHand += 1;
        turned += chosen.size;
        const reached = reachedFrom(job, player, chosen);
        expect([...reached], `${heard.id}: ${JSON.stringify(presses)}`).toContain(heard.system);
        // An amplifier with nothing but a knob is left on.
        const isLeftOn = job.devices.some(({ id, volume }) => id === heard.system && volume === "knob");
        expect([...on], `${heard.id} plays from it`).toEqual(expect.arrayContaining(isLeftOn ? [player] : [player, heard.system]));
      }
    }),
    tries(500, 10_000, 29),
  );
  expect(byHand).toBeGreaterThan(40);
  expect(turned).toBeGreaterThan(20);
});

test("a sound system is not said to follow by itself on a sheet that tells somebody to turn it", () => {
  fc.assert(
    fc.property(anyRoom.map(anyJob), (job) => {
      const { ways, sound } = waysOnSheet(job);
      for (const fact of sound)
        if (fact.says === "follows")
          expect(ways.flatMap(({ presses }) => presses.filter(({ key, device }) => key === "input" && device === fact.system))).toEqual([]);
    }),
    tries(300, 5000, 31),
  );
});

test("an input that the sheet says to choose on the sound system is one by which the sound of that player comes in", () => {
  let told = 0;
  fc.assert(
    fc.property(anyRoom.map(anyJob), (job) => {
      const { rows } = solve(job, "planned");
      for (const fact of waysOnSheet(job).sound)
        if (fact.says === "choose")
          for (const name of fact.players) {
            told += 1;
            const system = job.devices.find((device) => device.name === fact.on)?.id ?? "";
            const player = job.devices.find((device) => device.name === name)?.id;
            const entries = rows
              .filter((row) => row.player === player && row.plays !== null)
              .flatMap(({ hops }) => hops.flatMap(({ device, port }) => (device === system ? [label(job, { device, port })] : [])));
            expect(entries, `${name}: ${fact.input}`).toContain(fact.input);
          }
    }),
    tries(700, 5000, 37),
  );
  expect(told).toBeGreaterThan(20);
});

test("what is not to be expected of a player is so on the board: of all its titles of that kind, or of some", () => {
  let said = 0;
  fc.assert(
    fc.property(anyRoom.map(anyJob), (job) => {
      const { rows } = solve(job, "planned");
      const lines = householdSheet(job, SOURCE).sections.flatMap((section) => section.lines.map(({ fact }) => fact));
      for (const fact of lines)
        if (fact.says === "not-expected")
          for (const { player: name, uses } of fact.players)
            for (const use of uses) {
              said += 1;
              const player = job.devices.find((device) => device.name === name)?.id;
              const own = rows.filter((row) => row.player === player && KINDS[use].includes(row.content.kind));
              const lessened = own.filter(({ verdict, losses }) => verdict !== "full" || losses.length > 0);
              expect(lessened.length, SHEET_WORDS.en.line(fact)).toBeGreaterThan(0);
              if (!fact.isSome) expect(lessened.length, SHEET_WORDS.en.line(fact)).toBe(own.length);
            }
    }),
    tries(300, 5000, 47),
  );
  expect(said).toBeGreaterThan(100);
});

const KINDS: Readonly<Record<Use, readonly string[]>> = {
  film: ["film", "series", "concert"],
  tv: ["news"],
  game: ["game"],
  music: ["music"],
};
