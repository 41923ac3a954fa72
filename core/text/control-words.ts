import {
  actOfEvent,
  castOf,
  type Act,
  type ActVerdict,
  type Conflict,
  type HandStep,
  type Household,
  type Miss,
  type Press,
  type Reliance,
} from "@/core/cec";
import type { Job } from "@/core/job";
import { cutSentence } from "./cec-words";
import { deviceName, listed, socketPrint, upperFirst } from "./names";

/** What a household does, as they would say it. */
export function actWords(job: Job, act: Act, screen: string | undefined): string {
  const tv = screen ? deviceName(job, screen) : "the screen";
  switch (act.act) {
    case "screen-on":
      return `switch on with the remote of ${tv}`;
    case "other-screen-on":
      return `switch ${deviceName(job, act.device)} on with its own remote`;
    case "screen-off":
      return `switch everything off with the remote of ${tv}`;
    case "wake":
      return `wake ${deviceName(job, act.device)} with its own remote`;
    case "put-away":
      return `switch ${deviceName(job, act.device)} off while it is being watched`;
    case "choose-input":
      return `switch ${tv} to ${screen ? socketPrint(job, { device: screen, port: act.port }) : act.port}`;
    case "louder":
      return `volume up with the remote of ${tv}`;
    case "mute":
      return `mute with the remote of ${tv}`;
    case "news":
      return "watch the news";
    case "music":
      return "play music with the screen off";
    case "night-update":
      return `${deviceName(job, act.device)} wakes by itself at night`;
    case "wrong-remote":
      return "a child presses off on the sound system’s remote";
  }
}

/** An act by its event, as the household would say it; the event itself where the room knows no such act. */
export function eventWords(household: Household, event: string): string {
  const act = actOfEvent(household, event);
  return act ? actWords(household.job, act, castOf(household).screen?.nature.device) : event;
}

/** The same as printed on the household's card, beside the button. */
export function cardWords(job: Job, act: Act, screen: string | undefined): string {
  switch (act.act) {
    case "screen-on":
      return "screen and sound";
    case "other-screen-on":
      return `${deviceName(job, act.device)} and sound`;
    case "screen-off":
      return "everything off";
    case "wake":
      return `watch ${deviceName(job, act.device)}`;
    case "louder":
      return "volume up";
    case "mute":
      return "mute; press again to unmute";
    case "news":
      return "the news";
    case "music":
      return "music, the screen stays off";
    case "choose-input":
      return `switch to ${screen ? socketPrint(job, { device: screen, port: act.port }) : act.port}`;
    default:
      return actWords(job, act, screen);
  }
}

export const ACT_VERDICT_WORDS: Readonly<Record<ActVerdict["verdict"], string>> = {
  "as-wished": "As wanted",
  "with-a-step": "With an extra step",
  fails: "Fails",
  unstable: "Unstable",
};

/** What is not as wanted, in one sentence. */
export function missSentence(job: Job, miss: Miss): string {
  switch (miss.miss) {
    case "screen-off":
      return `${deviceName(job, miss.device)} stays off.`;
    case "player-off":
      return `${deviceName(job, miss.device)} stays off.`;
    case "shows-other":
      return `The screen does not switch to ${deviceName(job, miss.device)}.`;
    case "passes-no-picture":
      return `${deviceName(job, miss.device)} is in standby and passes no picture.`;
    case "hub-elsewhere":
      return `${deviceName(job, miss.device)} stays on another input, because nothing tells it to switch.`;
    case "system-off":
      return `${deviceName(job, miss.device)} stays off, so it plays nothing.`;
    case "sound-from-screen":
      return `${deviceName(job, miss.device)} plays from its own speakers.`;
    case "sound-from-system":
      return `${deviceName(job, miss.device)} plays, although the screen’s own speakers are wanted.`;
    case "no-sound":
      return "There is no sound.";
    case "still-on":
      return `${deviceName(job, miss.device)} stays on.`;
    case "woke":
      return `${deviceName(job, miss.device)} comes on although nobody asked for it.`;
    case "went-off":
      return `${deviceName(job, miss.device)} goes off too.`;
    case "loudness-stays":
      return `The volume of ${deviceName(job, miss.device)} does not change.`;
  }
}

function pressWords(key: Press): string {
  switch (key.press) {
    case "power-on":
      return "on";
    case "power-off":
      return "off";
    case "volume-up":
      return "volume up";
    case "volume-down":
      return "volume down";
    case "mute":
      return "mute";
    case "begin-return":
      return "its key or menu for the return channel";
    case "input":
      return key.input === null ? "its own apps or tuner" : `input ${key.input}`;
  }
}

/** "Bar: on": a key that a person still presses. */
export const stepWords = (job: Job, { device, key }: HandStep): string => `${deviceName(job, device)}: ${pressWords(key)}`;

/** The verdict with its reasons and the steps that remain. */
export function actVerdictSentence(job: Job, verdict: ActVerdict): string {
  const head = `${ACT_VERDICT_WORDS[verdict.verdict]}.`;
  switch (verdict.verdict) {
    case "as-wished":
      return head;
    case "unstable":
      return verdict.between.length
        ? `${head} ${listed(verdict.between.map((device) => deviceName(job, device)))} keep taking the screen from each other.`
        : `${head} The bus never settles.`;
    case "fails":
      return `${head} ${verdict.misses.map((miss) => missSentence(job, miss)).join(" ")}`;
    case "with-a-step":
      return `${head} ${verdict.misses.map((miss) => missSentence(job, miss)).join(" ")} Still to press: ${listed(verdict.steps.map((step) => stepWords(job, step)))}.`;
  }
}

/** What is wrong with the control of a room, in one sentence. */
export function conflictSentence(job: Job, conflict: Conflict): string {
  const names = (devices: readonly string[]) => listed(devices.map((device) => deviceName(job, device)));
  switch (conflict.conflict) {
    case "two-sound-systems":
      return `${names(conflict.devices)} are two sound systems on one control wire; only the first to get power can be the audio system, the other gets no volume keys.`;
    case "no-address-left":
      return `${deviceName(job, conflict.device)} gets no logical address: it can announce itself as the source, but no other device can wake it, query it or switch it off.`;
    case "same-place":
      return `${names(conflict.devices)} read the same physical address, so the screen cannot tell them apart.`;
    case "no-place":
      return `${deviceName(job, conflict.device)} gets no physical address: there is no screen above it.`;
    case "claimants":
      return `${names(conflict.devices)} each take the screen back when another takes it.`;
    case "return-needs-control":
      return `The return channel from ${deviceName(job, conflict.screen)} to ${deviceName(job, conflict.system)} starts over HDMI control, which does not join the two.${conflict.cuts.map((cut) => ` ${cutSentence(job, cut)}`).join("")}`;
    case "goes-off-with-one":
      return `${deviceName(job, conflict.device)} switches everything off when it goes off.`;
    case "wake-and-sleep":
      return conflict.wakes === conflict.sleeps
        ? `${deviceName(job, conflict.wakes)} wakes the room by itself and sends it to sleep again: a loop that nobody asked for.`
        : `${deviceName(job, conflict.wakes)} wakes the room by itself and ${deviceName(job, conflict.sleeps)} sends it to sleep: a loop that nobody asked for.`;
    case "two-volumes":
      return `${deviceName(job, conflict.screen)} and ${deviceName(job, conflict.system)} play at the same time, and the screen’s remote changes only its own volume.`;
    case "backup-address":
      return `${deviceName(job, conflict.device)} has a backup address of CEC 2.0; ${names(conflict.deafTo)}, of CEC 1.4, may ignore what it sends to them directly, such as a command to wake.`;
    case "place-sleeps":
      return `${names(conflict.devices)} get no physical address while ${deviceName(job, conflict.screen)} sleeps: they can only wake it, and take an address a moment later.`;
  }
}

/** What ends with HDMI control, in one sentence. */
export const relianceSentence = (job: Job, { screen, taker, players }: Reliance): string =>
  `The sound of ${listed(players.map((player) => deviceName(job, player)))} comes back over ARC, which HDMI control starts: switching control off at ${deviceName(job, screen)} or ${deviceName(job, taker)} also ends that sound.`;

/** "Switch on with the remote of Television: as wished; picture after 6 s, sound after 11 s." */
export function judgedActSentence(
  job: Job,
  judged: { readonly act: Act; readonly verdict: ActVerdict; readonly pictureMs: number | null; readonly soundMs: number | null },
  screen: string | undefined,
): string {
  const seconds = (ms: number | null, what: string) => (ms === null ? [] : [`${what} after ${(ms / 1000).toFixed(0)}\u2009s`]);
  const times = [...seconds(judged.pictureMs, "picture"), ...seconds(judged.soundMs, "sound")];
  return [
    `${upperFirst(actWords(job, judged.act, screen))}: ${actVerdictSentence(job, judged.verdict)}`,
    ...(times.length ? [`${upperFirst(times.join(", "))}.`] : []),
  ].join(" ");
}
