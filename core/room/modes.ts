import { USUAL_CELSIUS, speedOfSound } from "@/core/facts";
import type { Space } from "@/core/job";
import { rectangleSize } from "./walls";
import type { Point } from "./vector";

/** A standing wave along one side of a rectangular room: f_n = n·c/(2L). */
export interface AxialMode {
  readonly along: "width" | "depth" | "height";
  readonly order: number;
  readonly hertz: number;
}

/** The sides of a rectangular room with a flat ceiling; null for any other, of which this model says nothing. */
export interface Cuboid {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly depth: number;
  readonly height: number;
}

export function cuboidOf({ outline, ceiling }: Pick<Space, "outline" | "ceiling">): Cuboid | null {
  const floor = outline && rectangleSize(outline);
  return floor && ceiling?.shape === "flat" ? { ...floor, height: ceiling.heightM } : null;
}

/** The axial modes below a frequency, lowest first. */
export function axialModes(room: Cuboid, belowHz: number, celsius: number | null): readonly AxialMode[] {
  const speed = speedOfSound(celsius ?? USUAL_CELSIUS);
  return (["width", "depth", "height"] as const)
    .flatMap((along) => {
      const first = speed / (2 * room[along]);
      return Array.from({ length: Math.floor(belowHz / first) }, (_, n): AxialMode => ({ along, order: n + 1, hertz: (n + 1) * first }));
    })
    .toSorted((a, b) => a.hertz - b.hertz);
}

/** Reverberation that the estimate takes at low frequencies, in seconds. A furnished living room of ordinary build. */
export const STATED_RT60_S = 0.5;

export const BASS_HZ = { from: 20, to: 120, step: 1 } as const;

/** The level at a seat by frequency, relative to its own mean; an estimate. */
export interface BassCurve {
  readonly hertz: readonly number[];
  readonly db: readonly number[];
  /** From the highest to the lowest. */
  readonly spreadDb: number;
}

interface Mode {
  /** Half-waves along each side. */
  readonly n: readonly [number, number, number];
  readonly k: number;
}

/** Every mode up to half an octave above the band, so that its upper end is not cut short. */
function modesOf(room: Cuboid, speed: number): readonly Mode[] {
  const most = (2 * Math.PI * BASS_HZ.to * 1.5) / speed;
  const count = (side: number) => Math.ceil((most * side) / Math.PI);
  const found: Mode[] = [];
  for (let a = 0; a <= count(room.width); a += 1)
    for (let b = 0; b <= count(room.depth); b += 1)
      for (let c = 0; c <= count(room.height); c += 1) {
        const k = Math.PI * Math.hypot(a / room.width, b / room.depth, c / room.height);
        if (k <= most) found.push({ n: [a, b, c], k });
      }
  return found;
}

const shape = ({ n }: Mode, room: Cuboid, at: Point): number =>
  Math.cos((n[0] * Math.PI * (at.x - room.x)) / room.width) *
  Math.cos((n[1] * Math.PI * (at.y - room.y)) / room.depth) *
  Math.cos((n[2] * Math.PI * at.z) / room.height);

/**
 * The level of a subwoofer at each of several seats, by a plain sum of the modes of a rectangular room with hard walls and one damping for
 * all: p = Σ ε·ψ(source)·ψ(seat)/(k_n² − k² + i·2·k·δ/c), δ = 6.9/RT60. Source: Morse and Ingard, Theoretical Acoustics, ch. 9.
 */
export function bassCurves(room: Cuboid, source: Point, seats: readonly Point[], celsius: number | null): readonly BassCurve[] {
  const speed = speedOfSound(celsius ?? USUAL_CELSIUS);
  const modes = modesOf(room, speed);
  const decay = 6.9 / STATED_RT60_S / speed;
  const hertz = Array.from({ length: (BASS_HZ.to - BASS_HZ.from) / BASS_HZ.step + 1 }, (_, index) => BASS_HZ.from + index * BASS_HZ.step);
  const bySource = modes.map((mode) => mode.n.reduce((weight, order) => weight * (order ? 2 : 1), 1) * shape(mode, room, source));
  return seats.map((seat) => {
    const weights = modes.map((mode, index) => (bySource[index] ?? 0) * shape(mode, room, seat));
    const levels = hertz.map((frequency) => {
      const k = (2 * Math.PI * frequency) / speed;
      let [real, imaginary] = [0, 0];
      modes.forEach((mode, index) => {
        const [a, b] = [mode.k ** 2 - k ** 2, 2 * k * decay];
        const size = a * a + b * b;
        real += ((weights[index] ?? 0) * a) / size;
        imaginary -= ((weights[index] ?? 0) * b) / size;
      });
      return 20 * Math.log10(Math.max(1e-9, k * Math.hypot(real, imaginary)));
    });
    const mean = levels.reduce((sum, level) => sum + level, 0) / levels.length;
    const db = levels.map((level) => level - mean);
    return { hertz, db, spreadDb: Math.max(...db) - Math.min(...db) };
  });
}
