import type { Arrival } from "@/core/chain";
import type { Picture, PictureLoss } from "@/core/picture";
import { linkNeed } from "@/core/picture";
import type { Job } from "@/core/job";
import { settingFact, TMDS_MAX_GBPS } from "@/core/facts";
import { unreachable } from "@/core/outcome";
import { formatGigabits, formatMetres } from "@/core/units";
import { cableName, deviceName, socketName, upperFirst } from "./names";
import { CABLE_STATE_SENTENCE, DEVICE_STATE_SENTENCE } from "./state-words";
import { settingValueIn } from "./setting-words";

const HDR_WORDS = {
  sdr: "SDR",
  hdr10: "HDR10",
  hlg: "HLG",
  "hdr10-plus": "HDR10+",
  "dolby-vision": "Dolby Vision",
} as const satisfies Record<Picture["hdr"], string>;

/** "3840x2160@60" → "2160p60", "720x576i@50" → "576i50". */
export const modeWords = (mode: string): string =>
  mode.replace(/^\d+x(\d+)(i?)@(\d+)$/, (_all, lines: string, i: string, rate: string) => `${lines}${i || "p"}${rate}`);

/** "2160p60 HDR10, 12 bit 4:2:2, 17.82 Gb/s". */
export function pictureWords(picture: Picture): string {
  const chroma = picture.chroma.split("").join(":");
  const { tmdsGbps, frl, activeGbps } = linkNeed(picture);
  const rate =
    tmdsGbps <= TMDS_MAX_GBPS
      ? formatGigabits(tmdsGbps)
      : `${formatGigabits(activeGbps)} of pixels, ${frl === null ? "more than any fixed-rate link carries" : `on a fixed-rate link of ${frl}`}`;
  return `${modeWords(picture.mode)} ${HDR_WORDS[picture.hdr]}, ${picture.depth} bit ${chroma}, ${rate}`;
}

/** Why the picture is not as mastered, or not guaranteed, as a sentence. */
export function pictureLossSentence(job: Job, loss: PictureLoss): string {
  switch (loss.code) {
    case "picture-hdcp":
      return loss.then === "black" && loss.need !== "1.4"
        ? `${socketName(job, loss)} has HDCP ${loss.have}; protected 2160p needs ${loss.need} at every hop, and this player then shows nothing.`
        : loss.need === "1.4"
          ? `${socketName(job, loss)} has no HDCP, so anything protected stays black.`
          : `${socketName(job, loss)} has HDCP ${loss.have}; protected 2160p needs ${loss.need} at every hop, so the player drops to 1080p.`;
    case "picture-rate":
      return `${limitName(job, loss.at)} carries ${formatGigabits(loss.have)}; the picture as mastered needs ${formatGigabits(loss.need)}.`;
    case "picture-mode":
      return `${deviceName(job, loss.device)} shows at most ${modeWords(loss.have)}.`;
    case "picture-hdr":
      return `${deviceName(job, loss.device)} does not take ${hdrName(loss.need)}.`;
    case "picture-hdr-off":
      return `HDR is off at ${deviceName(job, loss.device)}.`;
    case "picture-gaming":
      return `${deviceName(job, loss.device)} does not accept variable refresh and auto low latency mode.`;
    case "picture-lines":
      return `${deviceName(job, loss.device)} scales it to ${modeWords(loss.need)}; the detail stays that of ${loss.have} lines.`;
    case "picture-length":
      return `${upperFirst(cableName(job, loss.cable))} is ${formatMetres(loss.need)} long; at this rate copper is reliable up to ${formatMetres(loss.have)}, so the picture is not guaranteed.`;
    case "picture-tight":
      return `It only just fits: the picture with full blanking would need more than ${formatGigabits(loss.have)} carries.`;
    case "picture-shut":
      return `${deviceName(job, loss.device)} passes no picture while “${settingFact(loss.setting).name}” is set to ${settingValueIn(job, loss.device, loss.setting, loss.value)}.`;
    case "picture-setting-unknown":
      return `Nobody has noted how “${settingFact(loss.setting).name}” is set at ${deviceName(job, loss.device)}, so the picture is not guaranteed.`;
    case "picture-plug":
      return `The plug in ${socketName(job, loss)} cuts the picture here.`;
    case "picture-backwards":
      return `${upperFirst(cableName(job, loss.cable))} works one way only and is installed the wrong way round: turn it.`;
    case "picture-forced":
      return `${deviceName(job, loss.device)} is set to always send the format as mastered, and that does not fit here.`;
    case "picture-no-way":
      return `The picture gets as far as ${deviceName(job, loss.device)}; no cable takes it on to a screen.`;
    case "picture-device-state":
      return DEVICE_STATE_SENTENCE[loss.state](deviceName(job, loss.device));
    case "picture-cable-state":
      return CABLE_STATE_SENTENCE[loss.state](upperFirst(cableName(job, loss.cable)));
    case "picture-no-display":
      return `Nobody has noted what ${deviceName(job, loss.device)} can show.`;
    case "picture-unknown":
      return `Nobody has noted what ${socketName(job, loss)} can carry, so the picture is not guaranteed.`;
    default:
      return unreachable(loss);
  }
}

const hdrName = (format: string): string => HDR_WORDS[format as Picture["hdr"]] ?? format;

function limitName(job: Job, limit: Extract<PictureLoss, { code: "picture-rate" }>["at"]): string {
  switch (limit.kind) {
    case "socket":
      return limit.standard ? `${socketName(job, limit)}, in its standard picture mode,` : socketName(job, limit);
    case "cable":
      return upperFirst(cableName(job, limit.cable));
    default:
      return deviceName(job, limit.device);
  }
}

/** Two or three words for a row whose picture is not as mastered; null where nothing is lost. */
export function pictureFlag({ picture, pictureLosses }: Pick<Arrival, "picture" | "pictureLosses">): string | null {
  if (pictureLosses.length === 0) return null;
  if (!picture) return "no picture";
  const doubts: readonly PictureLoss["code"][] = ["picture-length", "picture-tight", "picture-unknown", "picture-setting-unknown"];
  return pictureLosses.every(({ code }) => doubts.includes(code)) ? "picture not guaranteed" : "less of the picture";
}
