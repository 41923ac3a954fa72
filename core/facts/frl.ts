/**
 * Fixed-rate link speeds of HDMI 2.1: lanes times the rate of a lane.
 * Source: HDMI 2.1 §6.5; 3 lanes at 3 and 6, then 4 lanes at 6, 8, 10 and 12 Gb/s.
 */
export const FRL_GBPS = [9, 18, 24, 32, 40, 48] as const;

/** Of each 18 bits 16 carry data (16b/18b), and about 2 % of the rest goes to error correction and packets. Source: HDMI 2.1 §6.4.2. */
export const FRL_EFFICIENCY = (16 / 18) * 0.98;

/** The fastest TMDS: three channels at 600 MHz, ten bits each. Source: HDMI 2.0 §6.1. */
export const TMDS_MAX_GBPS = 18;
