import type { EdidReport } from "@/core/edid";
import { codingName } from "./sound-words";
import { upperFirst } from "./names";

/** What a display says of itself, line by line, faults first. */
export function edidWords(report: EdidReport): readonly string[] {
  const { preferred, hdmi, hdmiForum } = report;
  const lines = [
    ...report.problems,
    `${report.name ?? "No name"}, maker ${report.manufacturer}, product ${report.productCode}, ${report.year}.`,
    preferred ? `Prefers ${preferred.width} × ${preferred.height} at ${preferred.refreshHz} Hz.` : "No preferred timing.",
    report.audio.length
      ? `Sound: ${report.audio.map((row) => `${codingName(row.coding)} of ${row.channels} channels${row.atmos ? " with objects" : ""}`).join(", ")}.`
      : "Sound: none listed beyond what every HDMI sink takes.",
    ...(report.speakers.length ? [`Speakers: ${report.speakers.join(", ")}.`] : []),
    hdmi
      ? `Physical address ${hdmi.physicalAddress}${hdmi.maxTmdsMHz ? `, up to ${hdmi.maxTmdsMHz} MHz` : ""}.`
      : "No HDMI vendor block: not an HDMI sink.",
    ...(hdmiForum
      ? [
          `HDMI Forum: ${[hdmiForum.maxTmdsMHz ? `up to ${hdmiForum.maxTmdsMHz} MHz` : "", hdmiForum.maxFrlGbps ? `fixed rate up to ${hdmiForum.maxFrlGbps} Gb/s` : "", hdmiForum.allm ? "auto low latency mode" : "", hdmiForum.vrr ? "variable refresh" : ""].filter((part) => part !== "").join(", ")}.`,
        ]
      : []),
    ...(report.hdr.length ? [`HDR: ${report.hdr.join(", ")}.`] : []),
  ];
  return lines.map(upperFirst);
}
