import type { Device } from "@/core/device";
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

/** "To the bar 3 m, to the left satellite 6 m.": how far what hangs on it can stand away. */
export const leadsWords = ({ attachedLeads }: Device): string =>
  upperFirst(`${attachedLeads.map(({ to, lengthM }) => `to ${to} ${formatMetres(lengthM)}`).join(", ")}.`);
