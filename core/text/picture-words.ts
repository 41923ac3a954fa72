import type { Picture, PictureLoss } from "@/core/picture";
import { tmdsRate } from "@/core/picture";
import type { Job } from "@/core/job";
import { formatGigabits, formatMetres } from "@/core/units";
import { cableName, deviceName, socketName, upperFirst } from "./names";

const HDR_WORDS = { sdr: "SDR", hdr10: "HDR10", hlg: "HLG", "dolby-vision": "Dolby Vision" } as const satisfies Record<
  Picture["hdr"],
  string
>;

const modeWords = (mode: string): string => mode.replace(/^\d+x(\d+)@(\d+)$/, "$1p$2");

/** "2160p60 HDR10, 12 bit 4:2:2, 17.82 Gb/s". */
export function pictureWords(picture: Picture): string {
  const chroma = picture.chroma.split("").join(":");
  return `${modeWords(picture.mode)} ${HDR_WORDS[picture.hdr]}, ${picture.depth} bit ${chroma}, ${formatGigabits(tmdsRate(picture))}`;
}

export function pictureLossSentence(job: Job, loss: PictureLoss): string {
  switch (loss.code) {
    case "picture-hdcp":
      return `${socketName(job, loss)} has HDCP ${loss.have}; protected 2160p needs ${loss.need} at every hop, so the player drops to 1080p.`;
    case "picture-rate": {
      const at = loss.at.kind === "socket" ? socketName(job, loss.at) : upperFirst(cableName(job, loss.at.cable));
      return `${at} carries ${formatGigabits(loss.have)}; the picture as mastered needs ${formatGigabits(loss.need)}.`;
    }
    case "picture-mode":
      return `${deviceName(job, loss.device)} shows at most ${modeWords(loss.have)}.`;
    case "picture-hdr":
      return `${deviceName(job, loss.device)} does not show ${HDR_WORDS[loss.need as Picture["hdr"]] ?? loss.need}.`;
    case "picture-length":
      return `${upperFirst(cableName(job, loss.cable))} is ${formatMetres(loss.need)} long; its class is certain to ${formatMetres(loss.have)}, so the picture is not assured.`;
    case "picture-unknown":
      return `Nobody has noted what ${socketName(job, loss)} can carry, so the picture is not assured.`;
  }
}
