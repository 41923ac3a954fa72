import { bedChannels, bedStrings, DETAILED_TIMINGS, OUI, SPEAKER_POSITIONS, timingFact, TIMINGS, type Bed } from "@/core/facts";
import type { Device, SoundDescriptor } from "@/core/device";
import { whetherFits } from "@/core/picture";
import { makeAudioDescriptor, writeAudioDescriptors } from "./blocks/audio-block";
import { writeBaseBlock } from "./blocks/base-block";
import { makeCtaBlock } from "./blocks/cta-block";
import { EXTENDED, ouiBytes, TAG, type DataBlock } from "./blocks/data-block";
import { physicalAddressBytes, writeHdmiForumBlock } from "./blocks/hdmi-blocks";
import { sealed } from "./bytes";
import type { Edid } from "./edid";

/** What an EDID is made for: who shows it, its pictures and its sounds. */
export interface EdidPlan {
  readonly name: string;
  /** Three letters, as registered; ours are invented. */
  readonly manufacturer: string;
  readonly year: number;
  readonly display: NonNullable<Device["display"]>;
  /** The rate of the socket that shows it; null: ordinary 18 Gb/s. */
  readonly maxGbps: number | null;
  readonly sounds: readonly SoundDescriptor[];
  readonly speakers: Bed | null;
  readonly physicalAddress: string;
}

/**
 * The capability block that a device of these abilities would show. Dolby Vision is not written: its payload holds a panel's own
 * measurements, which nobody here knows. Source: VESA E-EDID A.2, CTA-861-H §7, HDMI 1.4 §8.3.2, HDMI 2.1 §10.3.2.
 */
export function makeEdid(plan: EdidPlan): Edid {
  const gbps = plan.maxGbps ?? 18;
  const all = modesUpTo(plan.display.maxMode);
  const shown = all.filter(({ mode }) => whetherFits({ mode, depth: 8, chroma: "444" }, gbps) !== "no");
  const preferred = DETAILED_TIMINGS.find(({ mode }) => shown.some((one) => one.mode === mode)) ?? DETAILED_TIMINGS[5];
  // The first video code and the first detailed timing must name the same picture.
  const modes = shown.toSorted((a, b) => Number(b.vic === preferred.vic) - Number(a.vic === preferred.vic));
  const cta = makeCtaBlock(dataBlocks(plan, modes, thinOnly(all, gbps)), { basicAudio: plan.sounds.length > 0 });
  const second = DETAILED_TIMINGS.find(
    ({ mode }) => mode === "1920x1080@60" && mode !== preferred.mode && modes.some((one) => one.mode === mode),
  );
  const base = sealed(
    writeBaseBlock({
      manufacturer: plan.manufacturer,
      productCode: 1,
      name: plan.name,
      year: plan.year,
      timings: [preferred, ...(second ? [second] : [])].map(detailedTiming),
      extensions: 1,
      maxClockTens: Math.min(255, Math.max(...modes.map(({ mode }) => Math.ceil(timingFact(mode).pixelClockMHz / 10)))),
    }),
  );
  return { base, extensions: [{ ...cta, raw: null }], trailing: new Uint8Array() };
}

/** The progressive modes of the table up to the largest that is shown, the best first. */
function modesUpTo(maxMode: EdidPlan["display"]["maxMode"]) {
  const most = timingFact(maxMode);
  return TIMINGS.filter(
    ({ mode, height, refreshHz, width }) =>
      !mode.includes("i@") &&
      height <= most.height &&
      width <= most.width &&
      (refreshHz <= most.refreshHz || (height < most.height && refreshHz <= 60)),
  ).toReversed();
}

type Modes = ReturnType<typeof modesUpTo>;

/** Modes that the socket carries as 4:2:0 only. */
const thinOnly = (modes: Modes, gbps: number): readonly number[] =>
  modes
    .filter(
      ({ mode }) =>
        whetherFits({ mode, depth: 8, chroma: "444" }, gbps) === "no" &&
        isThinnable(mode) &&
        whetherFits({ mode, depth: 8, chroma: "420" }, gbps) !== "no",
    )
    .map(({ vic }) => vic);

function isThinnable(mode: Modes[number]["mode"]): boolean {
  const { height, refreshHz } = timingFact(mode);
  return height >= 2160 && refreshHz >= 50 && refreshHz <= 60;
}

function dataBlocks(plan: EdidPlan, modes: Modes, only420: readonly number[]): readonly DataBlock[] {
  const { display, maxGbps, sounds, speakers, physicalAddress } = plan;
  const descriptors = sounds.flatMap((row) => makeAudioDescriptor(row.coding, bedChannels(row.channels), row.objects) ?? []);
  const gbps = maxGbps ?? 18;
  const vics = modes.map(({ vic }) => vic);
  const fast = modes.filter(({ mode }) => isThinnable(mode)).map(({ vic }) => vic);
  const isNew = gbps > 10.2;
  // TMDS stops at 600 MHz; the older block says up to 340 of it, the newer one the rest.
  const tmds = Math.min(600, Math.round((Math.min(gbps, 18) * 1000) / 30));
  return [
    { tag: TAG.video, extended: null, payload: Uint8Array.from(vics.slice(0, 31)) },
    ...(descriptors.length
      ? [{ tag: TAG.audio, extended: null, payload: Uint8Array.from(writeAudioDescriptors(uniqueFormats(descriptors))) }]
      : []),
    ...(descriptors.length ? [{ tag: TAG.speakers, extended: null, payload: Uint8Array.from(speakerBytes(speakers ?? "2.0")) }] : []),
    {
      tag: TAG.vendor,
      extended: null,
      payload: Uint8Array.from([...ouiBytes(OUI.hdmi), ...physicalAddressBytes(physicalAddress), 0xb8, Math.min(68, Math.round(tmds / 5))]),
    },
    ...(isNew
      ? [
          {
            tag: TAG.vendor,
            extended: null,
            payload: Uint8Array.from([
              ...ouiBytes(OUI.hdmiForum),
              ...writeHdmiForumBlock({
                maxTmdsMHz: tmds,
                maxFrlGbps: gbps > 18 ? gbps : null,
                allm: display.gaming,
                vrr: display.gaming ? { min: 48, max: 120 } : null,
              }),
            ]),
          },
        ]
      : []),
    { tag: TAG.extended, extended: 0, payload: Uint8Array.from([0xca]) }, // Quantization ranges selectable; never overscanned.
    ...(display.hdr.length
      ? [
          { tag: TAG.extended, extended: 5, payload: Uint8Array.from([0xc3, 0x00]) }, // BT.2020 RGB and YCC, xvYCC.
          {
            tag: TAG.extended,
            extended: EXTENDED.hdrStatic,
            payload: Uint8Array.from([0x01 | 0x04 | (display.hdr.includes("hlg") ? 0x08 : 0), 0x01]),
          },
        ]
      : []),
    ...(fast.length ? [{ tag: TAG.extended, extended: EXTENDED.ycbcr420Also, payload: Uint8Array.from(bitMap(vics, fast)) }] : []),
    ...(only420.length ? [{ tag: TAG.extended, extended: EXTENDED.ycbcr420Only, payload: Uint8Array.from(only420) }] : []),
  ];
}

/** One row for each format code: TrueHD and MAT share one, and so do the two of DTS-HD. */
function uniqueFormats(rows: readonly NonNullable<ReturnType<typeof makeAudioDescriptor>>[]) {
  const byCode = new Map<number, (typeof rows)[number]>();
  for (const row of rows) if (!byCode.has(row.formatCode) || row.atmos) byCode.set(row.formatCode, row);
  return [...byCode.values()];
}

const STRING_POSITIONS = { L: "FL/FR", R: "FL/FR", C: "FC", LFE: "LFE", Ls: "BL/BR", Rs: "BL/BR", Lb: "RLC/RRC", Rb: "RLC/RRC" } as const;

function speakerBytes(bed: Bed): number[] {
  const positions = new Set<string>(bedStrings(bed).map((name) => STRING_POSITIONS[name]));
  const bytes = [0, 0, 0];
  SPEAKER_POSITIONS.forEach((position, bit) => {
    if (positions.has(position)) bytes[bit >> 3] = (bytes[bit >> 3] ?? 0) | (1 << (bit & 7));
  });
  return bytes;
}

function bitMap(vics: readonly number[], wanted: readonly number[]): number[] {
  const bytes = Array<number>(Math.ceil(vics.length / 8)).fill(0);
  vics.forEach((vic, index) => {
    if (wanted.includes(vic)) bytes[index >> 3] = (bytes[index >> 3] ?? 0) | (1 << (index & 7));
  });
  return bytes;
}

/** The 18 bytes of a detailed timing. Source: VESA E-EDID A.2 §3.10.2. */
function detailedTiming({ mode, horizontal, vertical }: (typeof DETAILED_TIMINGS)[number]): number[] {
  const { width, height, pixelClockMHz } = timingFact(mode);
  const clock = Math.round(pixelClockMHz * 100);
  const [frontX, syncX, backX] = horizontal;
  const [frontY, syncY, backY] = vertical;
  const [blankX, blankY] = [frontX + syncX + backX, frontY + syncY + backY];
  return [
    ...[clock & 0xff, clock >> 8],
    ...[width & 0xff, blankX & 0xff, ((width >> 8) << 4) | (blankX >> 8)],
    ...[height & 0xff, blankY & 0xff, ((height >> 8) << 4) | (blankY >> 8)],
    ...[frontX & 0xff, syncX & 0xff, ((frontY & 15) << 4) | (syncY & 15)],
    ((frontX >> 8) << 6) | ((syncX >> 8) << 4) | ((frontY >> 4) << 2) | (syncY >> 4),
    ...[0, 0, 0, 0, 0, 0x1e], // Size not given; digital separate sync, both positive.
  ];
}
