import fc from "fast-check";
import type { Job } from "@/core/job";
import { jobByHand } from "@/demo/by-hand-under-test";
import { fitsOptical, GRANTED, judged, mastered, type PaperArrival, type PaperStream, type Sender, sent, STEREO } from "./arrival";
import {
  CODED,
  CONTENTS,
  onPaperBar,
  type PaperBar,
  type PaperContent,
  type PaperPlayer,
  type PaperSound,
  paperPlayer,
  someOf,
} from "./room";

/**
 * A player whose sound comes to the sound system beside HDMI, through up to two boxes: a converter of plugs, a DAC, an ADC, a Bluetooth sender or
 * receiver. As in `room.ts` it is written down with nothing of the program, and so is what arrives.
 */
export interface SideCable {
  readonly content: PaperContent;
  readonly player: PaperPlayer;
  /** The plugs of the leads in turn: one more than there are boxes. */
  readonly leads: readonly Plug[];
  readonly boxes: readonly PaperBox[];
  readonly bar: PaperBar;
}

type Plug = "optical" | "coaxial" | "rca" | "bluetooth";

interface PaperBox {
  /** A wire and a chip that hand on what comes, or a box that decodes and decides. */
  readonly kind: "plain" | "decoder";
  readonly passes: readonly PaperSound[];
  readonly decodes: readonly PaperSound[];
}

const ANALOGUE: PaperSound = { coding: "analogue", channels: "2.0", objects: false };
const isDigital = (plug: Plug) => plug === "optical" || plug === "coaxial";

const box = fc.record({
  kind: fc.constantFrom("plain" as const, "decoder" as const),
  passes: someOf(["ac3", "dts"]),
  decodes: someOf(["ac3", "dts", "eac3"]).map((coded) => [...STEREO, ANALOGUE, ...coded]),
});

export const sideCables: fc.Arbitrary<SideCable> = fc
  .record({
    content: fc.constantFrom(...CONTENTS),
    player: paperPlayer,
    boxes: fc.array(box, { maxLength: 2 }),
    plugs: fc.array(fc.constantFrom<Plug[]>("optical", "optical", "coaxial", "rca", "bluetooth"), { minLength: 3, maxLength: 3 }),
    bar: onPaperBar(someOf(CODED).map((coded) => [...STEREO, ANALOGUE, ...coded])),
  })
  .map(({ plugs, ...room }) => ({ ...room, leads: plugs.slice(0, room.boxes.length + 1) }));

/** What a lead carries: digital ones one stream of 48 kHz frames, an analogue one decoded stereo, Bluetooth the same coded once more. */
function across(plug: Plug, stream: PaperStream | null): PaperStream | null {
  if (!stream) return null;
  if (isDigital(plug)) return stream.coding === "lpcm" || fitsOptical(stream.coding) ? stream : null;
  if (stream.coding !== "lpcm") return null;
  return plug === "rca" ? { ...stream, coding: "analogue" } : { ...stream, lossless: false, codings: stream.codings + 1 };
}

/** What a sender may send by a plug: nothing is reported back, so stereo alone where no coding can go. */
const listsOf = (plug: Plug) => (isDigital(plug) ? GRANTED : STEREO);

function handedOn({ kind, passes, decodes }: PaperBox, plug: Plug, stream: PaperStream): PaperStream | null {
  if (kind === "plain") {
    if (stream.coding === "lpcm" || stream.coding === "analogue") return { ...stream, coding: "lpcm" };
    return passes.some(({ coding }) => coding === stream.coding) ? stream : null;
  }
  const by: Sender = { passes, decodes, lpcm: "2.0", pcm: "2.0", makesDolbyDigital: false, format: "auto", lists: listsOf(plug) };
  return sent(by, [stream]);
}

/** What arrives of the player; its format setting concerns its digital output alone. */
export function sideCableOnPaper({ content, player, leads, boxes, bar }: SideCable): PaperArrival {
  const [first, ...others] = leads;
  if (!first) throw new Error("a player without a lead");
  const format = isDigital(first) ? player.format : "auto";
  const leaves = across(first, sent({ ...player, format, pcm: "7.1", lists: listsOf(first) }, mastered(content)));
  const arrives = boxes.reduce<PaperStream | null>((stream, one, index) => {
    const plug = others[index];
    return stream && plug ? across(plug, handedOn(one, plug, stream)) : null;
  }, leaves);
  return judged({ content, bar }, arrives);
}

const port = (plug: Plug, direction: "in" | "out") => ({ id: `${plug}-${direction}`, label: plug, connector: plug, direction });

/** The job file of it, every device spelled out, as it is read by the program. */
export function sideCableJob({ content, player, leads, boxes, bar }: SideCable): Job {
  const names = ["player", ...boxes.map((_, index) => `box${String(index)}`), "bar"];
  return jobByHand({
    name: "On paper",
    brief: { soundSystem: "bar" },
    devices: [
      {
        id: "player",
        name: "Player",
        role: "player",
        ports: [port(leads[0] ?? "optical", "out")],
        sources: [
          {
            id: "drive",
            name: "drive",
            kind: "media",
            contents: [{ id: "content", name: content.name, kind: "music", tracks: content.tracks }],
          },
        ],
        decodes: player.decodes,
        routes: [
          {
            kind: "sound",
            from: ["drive"],
            to: [`${leads[0] ?? "optical"}-out`],
            passes: player.passes,
            lpcm: player.lpcm,
            pcm: "7.1",
            encodes: player.makesDolbyDigital ? ["ac3"] : [],
            ...(isDigital(leads[0] ?? "optical") ? { format: "player-audio" } : {}),
          },
        ],
        settings: [{ key: "player-audio", options: ["auto", "bitstream", "pcm", "stereo", "dolby-digital"], found: player.format }],
      },
      ...boxes.map(({ kind, passes, decodes }, index) => {
        const [from, to] = [leads[index] ?? "optical", leads[index + 1] ?? "optical"];
        return {
          id: `box${String(index)}`,
          name: "Box",
          role: "box",
          ports: [port(from, "in"), port(to, "out")],
          decodes,
          routes: [{ kind: "sound", from: [`${from}-in`], to: [`${to}-out`], passes, lpcm: "2.0", blind: kind === "plain" }],
        };
      }),
      {
        id: "bar",
        name: "Bar",
        role: "sound",
        ports: (["optical", "coaxial", "rca", "bluetooth"] as const).map((plug) => port(plug, "in")),
        decodes: bar.decodes,
        speakers: { bed: bar.bed, heights: bar.heights },
        routes: [{ kind: "sound", from: ["optical-in", "coaxial-in", "rca-in", "bluetooth-in"], to: ["speakers"] }],
        settings: [{ key: "decode-mode", options: ["auto", "stereo"], found: bar.mode }],
      },
    ],
    cables: leads.map((plug, index) => ({
      id: `lead${String(index)}`,
      from: { device: names[index] ?? "", port: `${plug}-out` },
      to: { device: names[index + 1] ?? "", port: `${plug}-in` },
      class: plug === "rca" ? "rca-pair" : plug,
      lengthM: 2,
      returnWires: "none",
    })),
  });
}
