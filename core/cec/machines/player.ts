import { EVERYONE } from "@/core/facts";
import { answer, awake, refuse, wake, wakeScreen } from "../manners";
import { become, send, stay, andThen, wait, type Happening, type Press, type Station, type Step, type Wish } from "../station";

const TV = 0;
/** A player that wants the screen back waits this long. */
const CLAIM_AGAIN_MS = 2000;

/** What a player, tuner or recorder does. Source: CEC 1.4 §13.1 one touch play, §13.2 routing, §13.3 standby. */
export function playerStep(station: Station, happening: Happening): Step {
  switch (happening.kind) {
    case "presses":
      return presses(station, happening.key);
    case "timer":
      if (happening.name === "awake") return awake(station, act);
      return happening.name === "claim-again" && station.power === "on" ? claims(station) : stay(station);
    case "hears":
      return answer(station, happening) ?? hears(station, happening);
  }
}

const isShown = ({ source, nature }: Station): boolean => source === nature.physical;

/** "I am the source", after the screen was woken; one that cannot say where it is says it as soon as it can. */
const claims = (station: Station): Step =>
  andThen(become(station, { source: station.nature.physical }), (next) =>
    next.placed ? send(next, EVERYONE, { kind: "active-source", address: next.nature.physical }) : stay(next),
  );

function act(station: Station, wish: Wish): Step {
  // Asked for by the screen it need not wake it; by its own key it does, where its switch says so.
  if (wish.wish === "be-source") return claims(station);
  return station.nature.wakesOthers ? andThen(wakeScreen(station), claims) : stay(station);
}

function presses(station: Station, key: Press): Step {
  switch (key.press) {
    case "power-on":
      return wake(station, { wish: "start" }, act);
    case "power-off":
      return goesOff(station);
    default:
      return stay(station);
  }
}

function goesOff(station: Station): Step {
  const { physical, quirks } = station.nature;
  const leaves =
    isShown(station) && station.placed && station.power === "on"
      ? send(station, TV, { kind: "inactive-source", address: physical })
      : stay(station);
  const told = andThen(leaves, (next) => (quirks.has("switches-all-off") ? send(next, EVERYONE, { kind: "standby" }) : stay(next)));
  return andThen(told, (next) => become(next, { power: "standby", pending: [], source: null }));
}

function hears(station: Station, happening: Extract<Happening, { kind: "hears" }>): Step {
  const { message } = happening;
  const { physical, quirks, obeysStandby } = station.nature;
  if (quirks.has("sends-only")) return refuse(station, happening, 1);
  switch (message.kind) {
    case "set-stream-path":
      return message.address === physical ? wake(station, { wish: "be-source" }, act) : become(station, { source: message.address });
    case "routing-change":
      return become(station, { source: message.into });
    case "active-source": {
      const lost = isShown(station) && message.address !== physical;
      const other = become(station, { source: message.address });
      return lost && quirks.has("steals-source") && station.power === "on"
        ? andThen(other, (next) => wait(next, "claim-again", CLAIM_AGAIN_MS))
        : other;
    }
    case "request-active-source":
      return station.power === "on" && isShown(station) ? claims(station) : stay(station);
    case "standby":
      return obeysStandby && !quirks.has("ignores-standby")
        ? become(station, { power: "standby", pending: [], source: null })
        : stay(station);
    case "key-pressed":
      return stay(station);
    default:
      return refuse(station, happening, 0);
  }
}
