import { CEC_KEY, EVERYONE } from "@/core/facts";
import { obeysVolumeKeys } from "@/core/device";
import { addressOfBytes, inputTowards, isBelow, NOWHERE, ROOT, type PhysicalAddress } from "../address";
import { answer, awake, refuse, wake, wakeScreen } from "../manners";
import { become, send, stay, andThen, type Happening, type Press, type Station, type Step, type Wish } from "../station";

const TV = 0;

/** What a sound system does. Source: CEC 1.4 §13.15 system audio control, §13.17 audio return channel. */
export function soundStep(station: Station, happening: Happening): Step {
  switch (happening.kind) {
    case "presses":
      return presses(station, happening.key);
    case "timer":
      return happening.name === "awake" ? awake(station, act) : stay(station);
    case "hears":
      return answer(station, happening) ?? hears(station, happening);
  }
}

function act(station: Station, wish: Wish): Step {
  switch (wish.wish) {
    case "system-audio":
      return takesSound(station, wish.address);
    case "be-source":
    case "start":
      // By its own key: it offers itself to the screen, and wakes it where its switch says so.
      return andThen(wakeScreen(station), (next) => takesSound(next, next.source ?? ROOT));
  }
}

/** Takes the sound over and begins the return channel. */
function takesSound(station: Station, address: PhysicalAddress): Step {
  const taken = become(station, { systemAudio: true, source: address, input: inputTowards(station.nature.physical, address) });
  const told = andThen(taken, (next) => send(next, EVERYONE, { kind: "set-system-audio-mode", mode: true }));
  return andThen(told, beginReturn);
}

const beginReturn = (station: Station): Step =>
  station.nature.returnLink === "arc" && !station.arc && !station.nature.quirks.has("arc-only-by-hand")
    ? send(station, TV, { kind: "initiate-arc" })
    : stay(station);

/** Gives the sound back: the screen plays from its own speakers again. */
function givesBack(station: Station): Step {
  const mode = station.systemAudio ? send(station, EVERYONE, { kind: "set-system-audio-mode", mode: false }) : stay(station);
  const arc = andThen(mode, (next) => (next.arc ? send(next, TV, { kind: "terminate-arc" }) : stay(next)));
  return andThen(arc, (next) => become(next, { systemAudio: false }));
}

function presses(station: Station, key: Press): Step {
  switch (key.press) {
    case "power-on":
      return wake(station, { wish: "start" }, act);
    case "power-off":
      return andThen(givesBack(station), (next) => become(next, { power: "standby", pending: [] }));
    case "volume-up":
    case "volume-down":
      return moves(station, key.press === "volume-up" ? 2 : -2, null);
    case "mute":
      return mutes(station, null);
    case "begin-return":
      return station.power === "on" && station.nature.returnLink === "arc" && !station.arc
        ? send(station, TV, { kind: "initiate-arc" })
        : stay(station);
    case "input":
      return become(station, { input: key.input });
  }
}

/** Louder or softer; whoever asked over the bus is told how loud it is now. */
function moves(station: Station, by: number, asker: number | null): Step {
  const volume = Math.min(100, Math.max(0, station.volume + by));
  return tells(become(station, { volume, muted: false }), asker);
}

const mutes = (station: Station, asker: number | null): Step => tells(become(station, { muted: !station.muted }), asker);

const tells = (step: Step, asker: number | null): Step =>
  asker === null
    ? step
    : andThen(step, (next) => send(next, asker, { kind: "report-audio-status", status: { muted: next.muted, volume: next.volume } }));

function hears(station: Station, happening: Extract<Happening, { kind: "hears" }>): Step {
  const { message, from } = happening;
  const { nature } = station;
  if (nature.quirks.has("sends-only")) return refuse(station, happening, 1);
  switch (message.kind) {
    case "system-audio-mode-request": {
      const [high, low] = message.data;
      if (high === undefined || low === undefined) return givesBack(station);
      if (station.power !== "on" && nature.quirks.has("system-audio-only-when-on")) return refuse(station, happening, 1);
      return wake(station, { wish: "system-audio", address: addressOfBytes(high, low) }, act);
    }
    case "request-arc-initiation":
      return station.power === "on" && nature.returnLink === "arc" && !nature.quirks.has("arc-only-by-hand")
        ? send(station, TV, { kind: "initiate-arc" })
        : refuse(station, happening, nature.returnLink === "arc" ? 1 : 4);
    case "request-arc-termination":
      return station.arc ? send(station, TV, { kind: "terminate-arc" }) : stay(station);
    case "report-arc-initiated":
      return become(station, { arc: true });
    case "report-arc-terminated":
      return become(station, { arc: false });
    case "standby":
      return nature.obeysStandby && !nature.quirks.has("ignores-standby")
        ? andThen(givesBack(station), (next) => become(next, { power: "standby", pending: [] }))
        : stay(station);
    case "key-pressed":
      return pressedFrom(station, happening, message.key);
    case "give-audio-status":
      return tells(stay(station), from);
    case "give-system-audio-mode-status":
      return send(station, from, { kind: "system-audio-mode-status", mode: station.systemAudio });
    case "active-source":
    case "set-stream-path":
      return follows(station, message.address);
    case "routing-change":
      return follows(station, message.into);
    default:
      return refuse(station, happening, 0);
  }
}

function pressedFrom(station: Station, happening: Extract<Happening, { kind: "hears" }>, key: number): Step {
  const { nature } = station;
  if (key === CEC_KEY.powerOn) return wake(station, { wish: "start" }, act);
  if (!obeysVolumeKeys(nature, happening.fromMaker) || station.power !== "on") return refuse(station, happening, 4);
  switch (key) {
    case CEC_KEY.volumeUp:
      return moves(station, 2, happening.from);
    case CEC_KEY.volumeDown:
      return moves(station, -2, happening.from);
    case CEC_KEY.mute:
      return mutes(station, happening.from);
    default:
      return refuse(station, happening, 3);
  }
}

/** Turns to the input that leads to what is shown, or to what comes back from the screen. */
function follows(station: Station, address: PhysicalAddress): Step {
  const { physical, quirks } = station.nature;
  const input = physical === NOWHERE || !isBelow(address, physical) ? null : inputTowards(physical, address);
  const turned = become(station, { source: address, input });
  const drops = quirks.has("drops-arc-on-input-change") && station.arc && input !== station.input;
  return drops ? andThen(turned, (next) => send(next, TV, { kind: "terminate-arc" })) : turned;
}
