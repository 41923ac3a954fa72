import fc from "fast-check";
import type { Job } from "@/core/job";
import { jobByHand } from "@/demo/by-hand-under-test";

/**
 * A player, a bar and a television in a row, as far as pictures go, with what becomes of a picture worked out on paper: nothing of the engine
 * is used. Where the two bounds of a fixed-rate link disagree (active pixels, whole blanking) paper says nothing.
 */
export interface PaperPictureRoom {
  readonly wish: PaperForm & { readonly hdr: PaperHdr; readonly protected: boolean; readonly gaming: boolean };
  /** The sockets from the player to the television, four of them. */
  readonly sockets: readonly { readonly gbps: number; readonly hdcp: PaperHdcp }[];
  /** The two cables. */
  readonly cables: readonly (keyof typeof CABLES)[];
  readonly bar: { readonly hdr: readonly PaperHdr[]; readonly gaming: boolean };
  readonly screen: { readonly mode: PaperMode; readonly hdr: readonly PaperHdr[]; readonly gaming: boolean };
  readonly blanks: boolean;
}

export interface PaperForm {
  readonly mode: PaperMode;
  readonly depth: number;
  readonly chroma: "444" | "422" | "420";
}

type PaperHdr = "sdr" | "hdr10" | "dolby-vision";
type PaperHdcp = "none" | "1.4" | "2.2";
type PaperMode = keyof typeof MODES;

/** Lines and rate, active pixels of a line, and the pixel clock in MHz. Source: CTA-861 VIC 32, 16, 93, 97, 118. */
const MODES = {
  "1920x1080@24": { width: 1920, height: 1080, hz: 24, clock: 74.25 },
  "1920x1080@60": { width: 1920, height: 1080, hz: 60, clock: 148.5 },
  "3840x2160@24": { width: 3840, height: 2160, hz: 24, clock: 297 },
  "3840x2160@60": { width: 3840, height: 2160, hz: 60, clock: 594 },
  "3840x2160@120": { width: 3840, height: 2160, hz: 120, clock: 1188 },
} as const;

export const isPaperMode = (mode: string): mode is PaperMode => mode in MODES;

const CABLES = { "high-speed": 10.2, "premium-high-speed": 18, "ultra-high-speed": 48 } as const;
const FIXED_RATES = [48, 40, 32, 24, 18, 9];

const bits = ({ depth, chroma }: PaperForm): number => (chroma === "444" ? 3 * depth : chroma === "422" ? 24 : 1.5 * depth);

/** Gb/s as TMDS: three channels of ten bits a clock. Worked: 594 MHz at 10 bit 4:4:4 is 22.275. */
function tmds({ mode, depth, chroma }: PaperForm): number {
  const clock = MODES[mode].clock * (chroma === "422" ? 1 : depth / 8) * (chroma === "420" ? 0.5 : 1);
  return (30 * clock) / 1000;
}

/** Whether a link of a speed carries a form; null: paper cannot tell. */
export function carries(form: PaperForm, gbps: number): boolean | null {
  if (tmds(form) <= Math.min(gbps, 18)) return true;
  const rate = FIXED_RATES.find((one) => one <= gbps) ?? 0;
  if (gbps <= 18) return false;
  const { width, height, hz, clock } = MODES[form.mode];
  const have = (rate * 16) / 18;
  const active = (width * height * hz * bits(form)) / 1e9;
  if (active > have) return false;
  return (clock * bits(form)) / 1000 <= have * 0.97 ? true : null;
}

/** What a form has to get through. */
export const narrowest = ({ sockets, cables }: PaperPictureRoom): number =>
  Math.min(...sockets.map(({ gbps }) => gbps), ...cables.map((cable) => CABLES[cable]));

/** What becomes of the picture: as wished, less in some way, or nothing; null where paper cannot tell. */
export function pictureOnPaper(room: PaperPictureRoom): "whole" | "less" | "black" | null {
  const { wish, sockets, bar, screen, blanks } = room;
  const { height, hz } = MODES[wish.mode];
  const isOld = height > 1080 && sockets.some(({ hdcp }) => hdcp === "1.4");
  if (wish.protected && (sockets.some(({ hdcp }) => hdcp === "none") || (isOld && blanks))) return "black";
  if (wish.protected && isOld) return "less";
  const most = MODES[screen.mode];
  const isShown = height <= most.height && (hz <= most.hz || (height < most.height && hz <= 60));
  const keepsHdr = wish.hdr === "sdr" || [bar.hdr, screen.hdr].every((known) => known.includes(wish.hdr));
  const keepsGaming = !wish.gaming || (bar.gaming && screen.gaming);
  if (!isShown || !keepsHdr || !keepsGaming) return "less";
  const fits = carries(wish, narrowest(room));
  return fits === null ? null : fits ? "whole" : "less";
}

const hdrs = fc.constantFrom<(readonly PaperHdr[])[]>(["hdr10", "dolby-vision"], ["hdr10"], []);
const gbps = fc.constantFrom(10.2, 18, 24, 40, 48);
const forms = fc.constantFrom(
  { depth: 8, chroma: "444" } as const,
  { depth: 10, chroma: "444" } as const,
  { depth: 12, chroma: "422" } as const,
  { depth: 10, chroma: "420" } as const,
);
const modes = fc.constantFrom(...(Object.keys(MODES) as PaperMode[]));

export const paperPictureRooms: fc.Arbitrary<PaperPictureRoom> = fc.record({
  wish: fc
    .record({
      mode: modes,
      form: forms,
      hdr: fc.constantFrom<PaperHdr[]>("sdr", "hdr10", "dolby-vision"),
      protected: fc.boolean(),
      gaming: fc.boolean(),
    })
    // 4:2:0 exists at 2160 lines and 60 Hz alone of these, and HDR has ten bits at least.
    .map(({ form, ...wish }) => ({
      ...wish,
      ...(form.chroma === "420" && wish.mode !== "3840x2160@60" ? ({ depth: 10, chroma: "444" } as const) : form),
      hdr: form.depth === 8 ? ("sdr" as const) : wish.hdr,
    })),
  sockets: fc.array(fc.record({ gbps, hdcp: fc.constantFrom<PaperHdcp[]>("2.2", "2.2", "2.2", "2.2", "1.4", "none") }), {
    minLength: 4,
    maxLength: 4,
  }),
  cables: fc.array(fc.constantFrom("high-speed", "premium-high-speed", "ultra-high-speed", "ultra-high-speed"), {
    minLength: 2,
    maxLength: 2,
  }),
  bar: fc.record({ hdr: hdrs, gaming: fc.boolean() }),
  screen: fc.record({ mode: modes, hdr: hdrs, gaming: fc.boolean() }),
  blanks: fc.boolean(),
});

/** The job file of such a room, as it is read by the program. */
export function pictureJobOf({ wish, sockets, cables, bar, screen, blanks }: PaperPictureRoom): Job {
  const socket = (id: string, direction: string, index: number) => {
    const { gbps: maxGbps, hdcp } = sockets[index] ?? { gbps: 48, hdcp: "2.2" };
    return { id, label: id, connector: "hdmi", direction, maxGbps, hdcp, returns: "none" };
  };
  const cable = (from: string, to: string, index: number) => ({
    id: `${from}-${to}`,
    from: { device: from, port: "out" },
    to: { device: to, port: "in" },
    class: cables[index] ?? "ultra-high-speed",
    lengthM: 2,
    returnWires: "none",
  });
  const content = {
    id: "film",
    name: "film",
    kind: "film",
    tracks: [{ coding: "lpcm", channels: "2.0" }],
    picture: wish,
  };
  return jobByHand({
    name: "Pictures on paper",
    brief: { soundSystem: "bar" },
    devices: [
      {
        id: "player",
        name: "Player",
        role: "player",
        ports: [socket("out", "out", 0)],
        sources: [{ id: "drive", name: "drive", kind: "media", contents: [content] }],
        routes: [
          { kind: "picture", from: ["drive"], to: ["out"] },
          { kind: "sound", from: ["drive"], to: ["out"] },
        ],
        habits: blanks ? [{ habit: "blanks-without-hdcp" }] : [],
      },
      {
        id: "bar",
        name: "Bar",
        role: "sound",
        ports: [socket("in", "in", 1), socket("out", "out", 2)],
        decodes: [{ coding: "lpcm", channels: "2.0" }],
        speakers: { bed: "2.0" },
        routes: [
          { kind: "picture", from: ["in"], to: ["out"], hdr: bar.hdr, gaming: bar.gaming },
          { kind: "sound", from: ["in"], to: ["speakers"] },
        ],
        presents: [{ rule: "decoders", ports: ["in"] }],
      },
      {
        id: "tv",
        name: "Television",
        role: "screen",
        ports: [socket("in", "in", 3)],
        display: { maxMode: screen.mode, hdr: screen.hdr, gaming: screen.gaming, delayMs: 20, gameDelayMs: 10 },
        routes: [{ kind: "picture", from: ["in"], to: ["display"] }],
      },
    ],
    cables: [cable("player", "bar", 0), cable("bar", "tv", 1)],
  });
}
