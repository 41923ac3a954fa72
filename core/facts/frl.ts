/**
 * Fixed-rate link speeds of HDMI 2.1: lanes times the rate of a lane.
 * Source: HDMI 2.1 §6.5; 3 lanes at 3 and 6, then 4 lanes at 6, 8, 10 and 12 Gb/s.
 */
export const FRL_GBPS = [9, 18, 24, 32, 40, 48] as const;

/**
 * How much of a fixed-rate link its own framing takes at most, by the number of lanes: in a super block of 4 × 510 characters and one start
 * character a lane, 4 × 8 are parity and 2.5 map the blocks; 0.3 % are kept for multiplexing. Source: HDMI 2.1 §6.5.6.2.1.
 */
export const frlOverhead = (lanes: number): number => (lanes + 32 + 2.5) / (4 * 510 + lanes) + 0.003;

/** A fixed-rate link has three lanes up to 18 Gb/s and four above. Source: HDMI 2.1 §6.4. */
export const frlLanes = (gbps: number): 3 | 4 => (gbps <= 18 ? 3 : 4);

/** The worst case that a link must carry: the pixel clock 0.5 % fast, the lanes 300 ppm slow. Source: HDMI 2.1 §6.5.6.2.1. */
export const FRL_TOLERANCE = { pixelClock: 0.005, lane: 0.0003 } as const;

/** Characters of blanking that a line needs at the least: 64 for control, and 32 for one packet of sound. Source: HDMI 2.1 §6.5.6.2.1. */
export const FRL_LEAST_BLANKING = 64 + 32;

/** Of each 18 bits 16 carry data (16b/18b), and about 2 % of the rest goes to error correction and packets. Source: HDMI 2.1 §6.4.2. */
export const FRL_EFFICIENCY = (16 / 18) * 0.98;

/** The fastest TMDS: three channels at 600 MHz, ten bits each. Source: HDMI 2.0 §6.1. */
export const TMDS_MAX_GBPS = 18;
