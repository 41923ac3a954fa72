import { arrivalsOf } from "@/core/chain";
import { cableClassFact, settingFact } from "@/core/facts";
import type { Job } from "@/core/job";
import {
  failingActs,
  isCutOff,
  scheduleOf,
  settingsSheetOf,
  type CheckedSearch,
  type PlanCheck,
  type Must,
  type PlanFigures,
  type Unseen,
  unseenOn,
  type WishConflict,
  type PlanSearch,
  type Preset,
  type School,
  type ShoppingLine,
  type WhyNot,
  type WiringPlan,
} from "@/core/plan";
import { formatMetres } from "@/core/units";
import { changeWords } from "./change-words";
import { cableClassName, deviceName, listed, socketName, upperFirst } from "./names";
import { plural } from "./plural";
import { reasonSentence } from "./reason-words";
import { rowWords, streamWords } from "./sound-words";
import { settingValueIn } from "./setting-words";

export const SCHOOL_WORDS: Readonly<Record<School, string>> = {
  "screen-hub": "Everything into the screen",
  "sound-hub": "Everything into the sound system",
  mixed: "Some into each",
  split: "Split before the screen",
  "side-cable": "Separate sound cable",
  adapter: "Return through an adapter",
  wireless: "Wireless",
};

export const PRESET_WORDS: Readonly<Record<Preset, string>> = {
  "easiest-to-use": "Easiest to use",
  "best-sound": "Best sound",
  "least-spending": "Least spending",
  "least-drilling": "Least drilling",
};

/** The idea of a plan in two sentences: where the players go, and how the sound comes to the sound system. */
export function planIdea(plan: WiringPlan, system: string): string {
  const { job, places } = plan;
  const hubs = new Map<string, string[]>();
  const without: string[] = [];
  for (const [player, hub] of places) {
    if (hub === null) without.push(deviceName(job, player));
    else hubs.set(hub, [...(hubs.get(hub) ?? []), deviceName(job, player)]);
  }
  const into = [...hubs].map(([hub, players]) => `${listed(players)} into ${deviceName(job, hub)}`);
  const first = into.length ? `${upperFirst(listed(into))}.` : places.size ? "No player is plugged in." : "";
  const left = without.length ? ` ${listed(without)} ${without.length === 1 ? "stays" : "stay"} unplugged.` : "";
  return `${first}${left} ${joinSentence(plan, system)}`.trim();
}

/** How the sound system is connected to the rest. */
function joinSentence({ job, wires }: WiringPlan, system: string): string {
  const cables = wires.map(({ cable }) => cable);
  const back = cables.find(({ from }) => from.device === system);
  const lead = cables.find(({ to, class: kind }) => to.device === system && cableClassFact(kind).ends[0] !== "hdmi");
  const parts = [
    ...(back ? [`${deviceName(job, system)} connects to ${socketName(job, back.to)}`] : []),
    ...(lead ? [`its sound comes from ${socketName(job, lead.from)} by ${cableClassFact(lead.class).name}`] : []),
  ];
  return parts.length ? `${upperFirst(listed(parts))}.` : `Nothing comes back to ${deviceName(job, system)} from the screen.`;
}

/** What a plan gives up: each row that is not whole, with the reason that binds it, and what the screens do not show. `device`: of whom it is told. */
export function givenUp(plan: Pick<WiringPlan, "job" | "places">): readonly { readonly device: string; readonly words: string }[] {
  const rows = arrivalsOf(plan.job);
  const heard = rows.flatMap((arrival) => {
    if (arrival.verdict === "full") return [];
    const reason = arrival.losses.find(({ scope }) => scope === "path")?.reason;
    const what = `${deviceName(plan.job, arrival.player)}, ${rowWords(arrival)}`;
    const gets = arrival.arrives ? `${streamWords(arrival.arrives)} arrives` : "nothing arrives";
    return [{ device: arrival.player, words: `${what}: ${gets}.${reason ? ` ${reasonSentence(plan.job, reason)}` : ""}` }];
  });
  return [...heard, ...unseenOn(plan, rows).map((unseen) => ({ device: unseen.screen, words: unseenWords(plan.job, unseen) }))];
}

function unseenWords(job: Job, { screen, players, isDark }: Unseen): string {
  const name = deviceName(job, screen);
  if (!isDark) return `${name} shows nothing of ${listed(players.map((id) => deviceName(job, id)))}: no picture comes from there.`;
  const isPlugged = job.cables.some(({ to }) => to.device === screen);
  return `${name} shows nothing of any player: ${isPlugged ? "no picture comes by its cables" : "no cable leads to it"}.`;
}

/** How many of the new cables leave their room: "", ", from room to room", ", 2 of them from room to room". */
function acrossRooms(pulls: number, newCables: number): string {
  if (pulls === 0) return "";
  if (pulls < newCables) return `, ${pulls} of them from room to room`;
  return newCables > 1 ? ", all from room to room" : ", from room to room";
}

/** Figures of a plan as short lines: what it gives, then what it asks. */
export function figureLines(plan: WiringPlan): readonly string[] {
  const { figures } = plan;
  const failing = failingActs(figures.acts).length;
  const { whole, reduced, without, newCables, pulls, minutes, menus, remotes, steps, onControl } = figures;
  return [
    [
      `${plural(whole, "row")} with all they can play`,
      ...(reduced ? [`${reduced} with part of it`] : []),
      ...(without ? [`${without} without sound`] : []),
    ].join(", "),
    [
      `at most ${plural(remotes, "remote")} for one act`,
      steps ? `${plural(steps, "extra key press", "extra key presses")}` : "no extra key press",
      ...(failing ? [`${plural(failing, "everyday act")} still not as wanted`] : []),
    ].join(", "),
    ...(figures.hands.length
      ? [`remotes needed besides the players\u2019 own: ${listed(figures.hands.map((id) => deviceName(plan.job, id)))}`]
      : []),
    spending(figures),
    ...(figures.toBuy ? [`${plural(figures.toBuy, "part")} not in the van`] : []),
    ...(figures.alone < plan.places.size
      ? [`${figures.alone} of ${plural(plan.places.size, "player")} can be watched while the sound system sleeps`]
      : []),
    ...(figures.onForNews === null ? [] : [`${plural(figures.onForNews, "device")} on for the news`]),
    `${plural(figures.freeSockets, "socket")} left free`,
    `${plural(newCables, "new cable")}${acrossRooms(pulls, newCables)}`,
    `about ${Math.max(0, Math.round(minutes))}\u2009min of wiring, ${plural(menus, "menu")} to open`,
    ...(figures.outOfStep ? [`${plural(figures.outOfStep, "row")} out of sync with the picture`] : []),
    ...(figures.cautioned ? [`${plural(figures.cautioned, "row")} with a caution`] : []),
    ...(figures.unknown ? [`${plural(figures.unknown, "row")} not known, because a fact is missing`] : []),
    ...(onControl ? [`the sound of ${plural(onControl, "player")} depends on HDMI control`] : []),
  ];
}

/** How sure it is that nothing beats the first plan. */
export function planProof({
  proven,
  gap,
  looked,
  plans,
  schoolsProven,
  check,
  beyond = 0,
  leadsTried = true,
  severalTried = true,
  leftOut = { standing: [], screens: [] },
}: PlanSearch & Partial<Pick<CheckedSearch, "check" | "beyond" | "leadsTried" | "severalTried" | "leftOut">>): string {
  if (plans.length === 0)
    return proven
      ? "No plan satisfies everything that is required, pinned and ruled out."
      : "No plan was found in the time allowed; there may be one.";
  const others =
    schoolsProven || plans.length < 2 ? "" : " The other approaches were not searched completely: each may have a better version.";
  if (beyond > 0)
    return `Not proven: ${plural(beyond, "change")} of a kind that the search does not cover ${beyond === 1 ? "makes" : "make"} it better than every plan searched.${checked(check)}${others}`;
  if (!leadsTried && gap === 0)
    return `Best of all ways to plug this room by HDMI with the boxes at hand. There was no time to try every sound cable of a player’s own.${checked(check)}${others}`;
  const ways = [
    "all ways to plug this room with the boxes at hand",
    ...(severalTried ? [] : ["with one new sound cable of a player\u2019s own at most"]),
    ...(leftOut.standing.length ? [`with ${listed(leftOut.standing)} left as found`] : []),
    ...(leftOut.screens.length ? [`with no HDMI output of ${listed(leftOut.screens)} used`] : []),
  ].join(", ");
  return proven
    ? `Proven best for these weights, of ${ways}.${checked(check)}${others}`
    : `Not proven: after ${plural(looked.rooms, "room")} tried, a better plan could still have ${gap.toFixed(1)}\u2009% more points.`;
}

const checked = (check: PlanCheck | null | undefined): string =>
  check?.better.length === 0
    ? ` ${plural(check.played, "single change")} to it ${check.played === 1 ? "was" : "were"} played as well, and none is better.`
    : "";

/** The result of playing every single change to a plan. */
export function checkWords(job: Job, check: PlanCheck | null): string {
  if (!check) return "No plan was checked.";
  if (check.better.length === 0) return `Checked: ${plural(check.played, "single change")} to the best plan played, none is better.`;
  const lines = check.better.map(({ change, more }) => `   ${changeWords(job, change)}: ${more.toFixed(3)} points more`);
  return [`Checked: of ${plural(check.played, "single change")} to the best plan ${check.better.length} would be better:`, ...lines].join(
    "\n",
  );
}

/** The menus of a plan, a line each: "Television: Digital sound output is set to PCM". */
export const planMenuLines = (job: Job, plan: WiringPlan): readonly string[] =>
  settingsSheetOf(job, plan).flatMap(({ device, rows }) =>
    rows.map(({ key, value }) => {
      const verb = key === "speakers" || key === "upmix" ? "is" : "is set to";
      return `${deviceName(plan.job, device)}: ${settingFact(key).name} ${verb} ${settingValueIn(plan.job, device, key, value)}`;
    }),
  );

/** What is plugged where and what is set where in a plan, a line each; what stays as it is is left out. */
export function planWorkLines(job: Job, plan: WiringPlan): readonly string[] {
  const WORK = { stays: "stays", moves: "moved", new: "new" } as const;
  return [
    ...scheduleOf(plan.job, plan).map(
      ({ cable, work, adapter }) =>
        `${socketName(plan.job, cable.from)} to ${socketName(plan.job, cable.to)}: ${cableClassName(cable.class)}, ${WORK[work]}${adapter ? ", with an adapter without the control wire" : ""}`,
    ),
    ...settingsSheetOf(job, plan).flatMap(({ device, rows }) =>
      rows.map(
        ({ key, value }) =>
          `Set “${settingFact(key).name}” to ${settingValueIn(plan.job, device, key, value)} at ${deviceName(plan.job, device)}`,
      ),
    ),
  ];
}

/** Why a plan is not otherwise: what becomes of the room with it, and how far that is behind. */
export function whyNotSentence({ best, behind, proven }: WhyNot, system: string): string {
  if (!best) return proven ? "No plan of this room is possible with it." : "No plan with it was found in the time allowed.";
  const far = behind !== null && behind > 0.05 ? `${behind.toFixed(1)} points behind the best` : "As good as the best";
  const lost = givenUp(best).map(({ words }) => words);
  return [`${far}: ${planIdea(best, system)}`, ...lost].join(" ");
}

/** A wish that a plan must fulfil. */
export function mustWords(job: Job, must: Must): string {
  if (must.want === "remotes") return must.most === 1 ? "one remote for every act" : `no act takes more than ${must.most} remotes`;
  const name = deviceName(job, must.device);
  switch (must.want) {
    case "sounds":
      return `everything ${name} plays comes from the sound system`;
    case "whole":
      return `everything ${name} plays arrives in full`;
    case "picture":
      return `the picture of ${name} loses nothing`;
    case "everywhere":
      return `the picture of ${name} reaches every screen`;
    case "keep":
      return `${name} is kept`;
  }
}

/** Wishes that conflict. */
export function conflictOfWishes(job: Job, conflict: WishConflict): string {
  switch (conflict.kind) {
    case "none":
      return "All of these wishes are possible together; what rules them out is pinned or ruled out elsewhere.";
    case "not-known":
      return "Which wishes conflict could not be determined in time; drop one and plan again.";
    case "conflict": {
      const words = conflict.musts.map((one) => mustWords(job, one)).join("; ");
      if (!conflict.isSmallest) return `These wishes conflict, and perhaps not all of them have to go: ${words}.`;
      return conflict.musts.length === 1
        ? `This cannot be had in this room: ${words}.`
        : `These wishes conflict; drop any one of them and the others are possible: ${words}.`;
    }
  }
}

/** Why a school has no plan in this room. */
export function impossibleSchool(job: Job, school: School, system: string): string {
  const name = deviceName(job, system);
  const reasons: Readonly<Record<School, string>> = {
    "screen-hub": `no screen of this room has a socket for a player and a way back to ${name}`,
    "sound-hub": `${name} has no HDMI input that a player could sit in`,
    mixed: "one device alone has sockets for players, or there are fewer than two players",
    split: "no box at hand takes the sound off before the screen",
    "side-cable": `no screen has an output for sound that ${name} or a converter takes and on which its sound comes`,
    adapter: `no box at hand takes a return channel and hands it to ${name}`,
    wireless: isCutOff(job, system)
      ? `nothing here sends to ${name} by Bluetooth`
      : `a cable can run to ${name}, and Bluetooth, stereo and late, is for where none can`,
  };
  return `${SCHOOL_WORDS[school]}: ${reasons[school]}.`;
}

/** What a plan costs; parts without a price are estimated, and the text says so. */
function spending({ money, unpriced, guessed }: PlanFigures): string {
  if (!unpriced) return money ? `${money} to spend` : "nothing to buy";
  const estimate = `${plural(unpriced, "part")} without a price estimated at ${guessed}`;
  return money ? `${money + guessed} to spend, ${estimate}` : `about ${guessed} to spend: ${estimate}`;
}

/** A line of the shopping list. */
export function shoppingWords(line: ShoppingLine): string {
  const from = line.kind !== "adapter" && line.supply === "van" ? ", from the van" : "";
  switch (line.kind) {
    case "box":
      return `1 × ${line.name}${line.price === null ? ", price not known" : `, ${line.price}`}${from}`;
    case "cable":
      return `${line.count} × ${cableClassFact(line.class).name}, ${formatMetres(line.lengthM)}${from}`;
    case "adapter":
      return `${line.count} × HDMI adapter without the control wire, made for that: never mask or cut a pin`;
  }
}
