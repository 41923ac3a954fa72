import { settingFact } from "@/core/facts";
import type { Device, Difference } from "@/core/device";
import { formatMetres } from "@/core/units";
import { listed, upperFirst } from "./names";
import { descriptorWords } from "./sound-words";

/**
 * What a device hands on, one sentence for each inner route of sound to a socket:
 * "From HDMI 1 and HDMI 2 to HDMI 3 eARC: Dolby Digital up to 5.1, LPCM up to 7.1."
 */
export function passesWords(device: Device): readonly string[] {
  const nameOf = (terminal: string) =>
    device.ports.find((port) => port.id === terminal)?.label ?? device.sources.find((source) => source.id === terminal)?.name ?? terminal;
  return device.routes.flatMap((route) => {
    if (route.kind !== "sound" || route.to.includes("speakers")) return [];
    const way = `from ${listed(route.from.map(nameOf))} to ${listed(route.to.map(nameOf))}`;
    const what = route.passes === null ? "not known" : [...route.passes.map(descriptorWords), `LPCM up to ${route.lpcm}`].join(", ");
    return [upperFirst(`${way}: ${what}.`)];
  });
}

/** "To the bar 3 m, to the left satellite 6 m.": how far what is attached to it can be placed away. */
export const leadsWords = ({ attachedLeads }: Device): string =>
  upperFirst(`${attachedLeads.map(({ to, lengthM }) => `to ${to} ${formatMetres(lengthM)}`).join(", ")}.`);

const DIFFERENCE_WORDS = {
  decoders: "what it decodes",
  listing: "what it advertises",
  ways: "what it passes on",
  speakers: "its speakers",
  units: "its speaker units",
  dials: "what can be dialled at it",
  picture: "its picture",
  volume: "what changes its volume",
  control: "its HDMI control",
} as const;
const SOCKET_WORDS = {
  missing: "is not there",
  added: "was added",
  print: "has a different label",
  rate: "has a different rate",
  hdcp: "has a different HDCP version",
  return: "has a different return channel",
  other: "is different",
} as const;

/** Where a device differs from its archetype: "“HDMI 2” has another rate; what it decodes". Null where in nothing. */
export function differenceWords(device: Device, differences: readonly Difference[]): string | null {
  const words = differences.map((difference) => {
    switch (difference.in) {
      case "socket":
        return `“${device.ports.find(({ id }) => id === difference.port)?.label ?? difference.port}” ${SOCKET_WORDS[difference.what]}`;
      case "setting":
        return `“${settingFact(difference.setting).name}” was found set differently`;
      default:
        return DIFFERENCE_WORDS[difference.in];
    }
  });
  return words.length ? words.join("; ") : null;
}
