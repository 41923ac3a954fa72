import { CEC_KEY, EVERYONE } from "@/core/facts";
import { bytesOfAddress, inputTowards, ROOT, type PhysicalAddress } from "../address";
import { answer, awake, refuse, wake } from "../manners";
import { beam, become, send, stay, andThen, wait, type Happening, type Press, type Station, type Step, type Wish } from "../station";

const AUDIO = 5;
/** A screen lets a sound system begin the return channel by itself, and asks after this. */
const ASK_RETURN_MS = 1000;

/** What a screen does. Source: CEC 1.4 §13.1 to §13.3, §13.13, §13.15, §13.17. */
export function screenStep(station: Station, happening: Happening): Step {
  switch (happening.kind) {
    case "presses":
      return presses(station, happening.key);
    case "timer":
      return happening.name === "awake" ? awake(station, start) : happening.name === "ask-return" ? askReturn(station) : stay(station);
    case "hears":
      return answer(station, happening) ?? hears(station, happening);
  }
}

/** Just awake: finds who is shown, hands the sound over and wakes the player that was last shown. */
function start(station: Station, _wish: Wish): Step {
  const { nature, source } = station;
  const asks = send(station, EVERYONE, { kind: "request-active-source" });
  const shown = source ?? ROOT;
  const player =
    nature.wakesOthers && shown !== ROOT
      ? andThen(asks, (next) => send(next, EVERYONE, { kind: "set-stream-path", address: shown }))
      : asks;
  return andThen(player, (next) => handSoundOver(next, shown));
}

/** Asks the sound system to take the sound of what is shown. Source: CEC 1.4 §13.15.3. */
const handSoundOver = (station: Station, address: PhysicalAddress): Step =>
  station.nature.playsElsewhere
    ? send(station, AUDIO, { kind: "system-audio-mode-request", data: bytesOfAddress(address) })
    : stay(station);

const askReturn = (station: Station): Step =>
  station.power === "on" && station.nature.playsElsewhere && station.nature.returnLink === "arc" && !station.arc
    ? send(station, AUDIO, { kind: "request-arc-initiation" })
    : stay(station);

function presses(station: Station, key: Press): Step {
  switch (key.press) {
    case "power-on":
      return wake(station, { wish: "start" }, start);
    case "power-off":
      return andThen(goesOff(station), (next) => (next.nature.wakesOthers ? send(next, EVERYONE, { kind: "standby" }) : stay(next)));
    case "input":
      return choosesInput(station, key.input);
    case "volume-up":
    case "volume-down":
    case "mute":
      return setsLoudness(station, key);
    case "begin-return":
      return askReturn(station);
  }
}

/** Loudness is the sound system's over the bus where it has the sound; else by infrared, where the screen is set to play elsewhere; else its own. */
function setsLoudness(station: Station, key: Press): Step {
  const { infraredTo, playsElsewhere } = station.nature;
  const by = key.press === "volume-up" ? 2 : -2;
  if (station.systemAudio) return sendKey(station, key.press === "mute" ? CEC_KEY.mute : by > 0 ? CEC_KEY.volumeUp : CEC_KEY.volumeDown);
  if (infraredTo && playsElsewhere) return beam(station, infraredTo, key);
  return key.press === "mute" ? become(station, { muted: !station.muted }) : become(station, { volume: clamp(station.volume + by) });
}

const clamp = (volume: number): number => Math.min(100, Math.max(0, volume));

const sendKey = (station: Station, key: number): Step => send(station, AUDIO, { kind: "key-pressed", key }, { kind: "key-released" });

const goesOff = (station: Station): Step => become(station, { power: "standby", systemAudio: false, arc: false, pending: [] });

/** Another input by the screen's own remote. Source: CEC 1.4 §13.2 routing control. */
function choosesInput(station: Station, input: number | null): Step {
  if (station.power !== "on") return stay(station);
  const to = input === null ? ROOT : (station.nature.inputs[input - 1] ?? ROOT);
  const from = station.source ?? ROOT;
  const turned = become(station, { input, source: to });
  if (to === from) return turned;
  return andThen(turned, (next) => {
    const told = send(next, EVERYONE, { kind: "routing-change", from, into: to });
    const asked =
      to === ROOT
        ? andThen(told, (one) => send(one, EVERYONE, { kind: "active-source", address: ROOT }))
        : andThen(told, (one) => send(one, EVERYONE, { kind: "set-stream-path", address: to }));
    return andThen(asked, (one) => (one.systemAudio ? stay(one) : handSoundOver(one, to)));
  });
}

function hears(station: Station, happening: Extract<Happening, { kind: "hears" }>): Step {
  const { message, from } = happening;
  if (station.nature.quirks.has("sends-only")) return refuse(station, happening, 1);
  switch (message.kind) {
    case "image-view-on":
    case "text-view-on":
      return station.power === "on" ? stay(station) : wake(station, { wish: "start" }, start);
    case "standby":
      return station.nature.obeysStandby && !station.nature.quirks.has("ignores-standby") ? goesOff(station) : stay(station);
    case "active-source":
      return shows(station, message.address);
    case "inactive-source":
      return message.address === station.source ? choosesInput(station, null) : stay(station);
    case "request-active-source":
      return station.source === ROOT && station.power === "on"
        ? send(station, EVERYONE, { kind: "active-source", address: ROOT })
        : stay(station);
    case "set-system-audio-mode":
      return takenOver(station, message.mode && station.nature.playsElsewhere);
    case "initiate-arc":
      return station.nature.returnLink !== "none" && station.nature.playsElsewhere
        ? andThen(become(station, { arc: true }), (next) => send(next, from, { kind: "report-arc-initiated" }))
        : refuse(station, happening, 4);
    case "terminate-arc":
      return andThen(become(station, { arc: false }), (next) => send(next, from, { kind: "report-arc-terminated" }));
    case "report-audio-status":
      return stay(station);
    default:
      return refuse(station, happening, 0);
  }
}

/** The sound system has the sound: the screen is mute, and waits for it to begin the return channel. */
const takenOver = (station: Station, isTaken: boolean): Step => {
  const told = become(station, { systemAudio: isTaken });
  return isTaken ? andThen(told, (next) => wait(next, "ask-return", ASK_RETURN_MS)) : told;
};

/** Shows who says that it is the source; asleep it only remembers. */
function shows(station: Station, address: PhysicalAddress): Step {
  const turned = become(station, { source: address, input: inputTowards(ROOT, address) });
  const asks = station.power === "on" && !station.systemAudio && address !== station.source;
  return asks ? andThen(turned, (next) => handSoundOver(next, address)) : turned;
}
