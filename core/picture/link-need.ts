import {
  CABLE_CLASSES,
  FRL_EFFICIENCY,
  FRL_GBPS,
  FRL_LEAST_BLANKING,
  FRL_TOLERANCE,
  frlLanes,
  frlOverhead,
  timingFact,
  TMDS_MAX_GBPS,
  type CableClass,
} from "@/core/facts";
import { gigabitsPerSecond, type GigabitsPerSecond } from "@/core/units";
import { tmdsRate, type Picture } from "./picture";

type Form = Pick<Picture, "mode" | "depth" | "chroma">;

/** What a picture asks of a link. */
export interface LinkNeed {
  readonly tmdsGbps: GigabitsPerSecond;
  /** The active pixels alone, and with the whole blanking: a fixed-rate link carries the first and a compressed part of the rest. */
  readonly activeGbps: GigabitsPerSecond;
  readonly fullGbps: GigabitsPerSecond;
  /** The slowest fixed-rate link that carries it; null: none without compression (DSC). */
  readonly frl: number | null;
  /** The pixels and the least blanking fit that rate, the whole blanking does not: close to the edge. */
  readonly tight: boolean;
  /** The first cable class tested for it; null: none. */
  readonly cableClass: CableClass | null;
}

/** Bits of one pixel on the wire. 4:2:2 always travels in 24. Source: HDMI 1.4 §6.5.2, HDMI 2.0 §7.1. */
function bitsPerPixel({ depth, chroma }: Form): number {
  switch (chroma) {
    case "444":
      return 3 * depth;
    case "422":
      return 24;
    case "420":
      return 1.5 * depth;
  }
}

/** The data that a fixed-rate link of a nominal speed has for the picture. */
export const frlPayload = (gbps: number): GigabitsPerSecond => gigabitsPerSecond(gbps * FRL_EFFICIENCY);

/** The rate of the active pixels. Worked: 3840 × 2160 × 120 × 30 bit = 29.86 Gb/s. */
export function activeRate(form: Form): GigabitsPerSecond {
  const { width, height, refreshHz, mode } = timingFact(form.mode);
  const linesShown = mode.includes("i@") ? height / 2 : height;
  return gigabitsPerSecond((width * linesShown * refreshHz * bitsPerPixel(form)) / 1e9);
}

const fullRate = (form: Form) => gigabitsPerSecond((timingFact(form.mode).pixelClockMHz * bitsPerPixel(form)) / 1000);

/**
 * Whether a fixed-rate link carries a picture at all, line by line: in the time of one line, at the worst of the tolerances, the pixels
 * (three bytes travel in one and a half characters of 16 bits) and the least blanking that control and sound need.
 * Source: HDMI 2.1 §6.5.6.2.1. Worked: 2160p60 at 10 bit 4:4:4 needs 7200 + 96 characters; 18 Gb/s has 7210 in a line of 7.37 µs.
 */
function carriesLines(form: Form, gbps: number): boolean {
  const { width, totalWidth, pixelClockMHz } = timingFact(form.mode);
  const lanes = frlLanes(gbps);
  const lineMicroseconds = totalWidth / (pixelClockMHz * (1 + FRL_TOLERANCE.pixelClock));
  const charactersPerMicrosecond = ((gbps * 1000) / 18) * (1 - FRL_TOLERANCE.lane);
  const have = Math.floor(lineMicroseconds * charactersPerMicrosecond) * (1 - frlOverhead(lanes));
  const need = Math.ceil(1.5 * Math.ceil((width * bitsPerPixel(form)) / 24)) + FRL_LEAST_BLANKING;
  return need <= have;
}

/** There are few forms, so what each needs is worked out once. */
const needs = new Map<string, LinkNeed>();

/** What a picture needs from sockets and cables. */
export function linkNeed({ mode, depth, chroma }: Form): LinkNeed {
  const key = `${mode} ${depth} ${chroma}`;
  const need = needs.get(key) ?? needOf({ mode, depth, chroma });
  needs.set(key, need);
  return need;
}

function needOf(form: Form): LinkNeed {
  const [tmdsGbps, activeGbps, fullGbps] = [tmdsRate(form), activeRate(form), fullRate(form)];
  const frl = FRL_GBPS.find((gbps) => carriesLines(form, gbps)) ?? null;
  const tight = tmdsGbps > TMDS_MAX_GBPS && frl !== null && fullGbps > frlPayload(frl);
  // Fixed-rate links run on cables of the newest category only, however slow they are. Source: HDMI 2.1 §4.2 Category 3.
  const carries = (gbps: number) => (tmdsGbps <= TMDS_MAX_GBPS ? gbps >= tmdsGbps : gbps > TMDS_MAX_GBPS && gbps >= (frl ?? Infinity));
  const cable = CABLE_CLASSES.find(({ pictureGbps }) => pictureGbps !== null && carries(pictureGbps));
  return { tmdsGbps, activeGbps, fullGbps, frl, tight, cableClass: cable?.id ?? null };
}

/** Whether a link of a nominal speed carries a picture: TMDS up to 18 Gb/s, a fixed-rate link above. */
export function whetherFits(form: Form, gbps: number): "fits" | "tight" | "no" {
  const tmds = tmdsRate(form);
  if (tmds <= Math.min(gbps, TMDS_MAX_GBPS)) return "fits";
  // What is slower than the fastest TMDS is a TMDS socket; between two fixed rates a link runs at the lower one.
  const rate = FRL_GBPS.findLast((one) => one <= gbps);
  if (gbps <= TMDS_MAX_GBPS || rate === undefined || !carriesLines(form, rate)) return "no";
  return fullRate(form) > frlPayload(rate) ? "tight" : "fits";
}
