import { EOTFS, OUI, SPEAKER_POSITIONS } from "@/core/facts";
import { readBaseBlock } from "./blocks/base-block";
import { readAudioDescriptors } from "./blocks/audio-block";
import { EXTENDED, hdmiForumPayload, isHdmiVendor, ouiOf, TAG, type DataBlock } from "./blocks/data-block";
import { readHdmiForumBlock, readHdmiVendorBlock } from "./blocks/hdmi-blocks";
import { at } from "./bytes";
import { dataBlocksOf, type Edid } from "./edid";
import { findingWords, type Finding } from "./finding";

/** What a display says of itself: the outside contract of `octachord edid show --json`. */
export function edidReport(edid: Edid, findings: readonly Finding[]) {
  const blocks = dataBlocksOf(edid);
  const base = readBaseBlock(edid.base);
  const vendor = blocks.find(isHdmiVendor);
  const forum = blocks.map(hdmiForumPayload).find((payload) => payload !== null);
  const video = blocks.filter(({ tag }) => tag === TAG.video).flatMap(({ payload }) => [...payload].map(vicOf));
  return {
    valid: findings.every(({ code }) => code === "unknown-extension"),
    problems: findings.map(findingWords),
    manufacturer: base.manufacturer,
    productCode: base.productCode,
    name: base.name,
    year: base.year,
    preferred: base.preferred,
    vics: [...new Set(video)],
    audio: audioOf(blocks),
    speakers: speakersOf(blocks),
    hdmi: vendor ? readHdmiVendorBlock(vendor.payload.subarray(3)) : null,
    hdmiForum: forum ? readHdmiForumBlock(forum) : null,
    hdr: hdrOf(blocks),
    dolbyVision: blocks.some((block) => isVendorVideo(block, OUI.dolby)),
    hdr10Plus: blocks.some((block) => isVendorVideo(block, OUI.hdr10Plus)),
    ycbcr420: ycbcr420Of(blocks, video),
  };
}
export type EdidReport = ReturnType<typeof edidReport>;

/** A short video descriptor's code: below 128 and above 192 it is the code itself, between them the top bit says native. Source: CTA-861-H §7.5.1. */
const vicOf = (byte: number): number => (byte > 128 && byte < 193 ? byte & 0x7f : byte);

const audioOf = (blocks: readonly DataBlock[]) =>
  blocks
    .filter(({ tag }) => tag === TAG.audio)
    .flatMap(({ payload }) => readAudioDescriptors(payload))
    .flatMap(({ coding, channels, sampleRatesKHz, bits, maxKbps, atmos }) =>
      coding === null
        ? []
        : [
            {
              coding,
              channels,
              sampleRatesKHz,
              ...(bits ? { bits } : {}),
              ...(maxKbps === null ? {} : { maxKbps }),
              ...(atmos === null ? {} : { atmos }),
            },
          ],
    );

function speakersOf(blocks: readonly DataBlock[]): readonly string[] {
  const payload = blocks.find(({ tag }) => tag === TAG.speakers)?.payload;
  return payload ? SPEAKER_POSITIONS.filter((_, bit) => at(payload, bit >> 3) & (1 << (bit & 7))) : [];
}

function hdrOf(blocks: readonly DataBlock[]): readonly string[] {
  const payload = blocks.find(({ extended }) => extended === EXTENDED.hdrStatic)?.payload;
  return payload ? EOTFS.filter((_, bit) => at(payload, 0) & (1 << bit)) : [];
}

/** Vendor video blocks carry their identifier least byte first, as all vendor blocks do. */
const isVendorVideo = (block: DataBlock, oui: number): boolean => block.extended === EXTENDED.vendorVideo && ouiOf(block) === oui;

/** Modes that come only as 4:2:0, and those that may also; the map counts the video descriptors in their order. Source: CTA-861-H §7.5.10 and §7.5.11. */
function ycbcr420Of(blocks: readonly DataBlock[], vics: readonly number[]) {
  const only = blocks.filter(({ extended }) => extended === EXTENDED.ycbcr420Only).flatMap(({ payload }) => [...payload].map(vicOf));
  const map = blocks.find(({ extended }) => extended === EXTENDED.ycbcr420Also)?.payload;
  const also = map ? vics.filter((_, index) => map.length === 0 || at(map, index >> 3) & (1 << (index & 7))) : [];
  return { only, also };
}
