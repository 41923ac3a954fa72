/** Resistivity of copper at 20 °C in Ω·mm²/m. Source: IEC 60228, 0.0175 as the trade rounds it. */
export const COPPER = 0.0175;

/** The wire's resistance, both ways, stays under this share of the nominal impedance; damping suffers beyond. Source: rule of the trade. */
export const MOST_WIRE_SHARE = 0.05;

/** The sizes that are stocked, thinnest first. Source: IEC 60228 Table 1. */
export const WIRE_MM2 = [0.75, 1, 1.5, 2.5, 4, 6] as const;
/** The gauges that are stocked, thinnest first. Source: ASTM B258. */
export const WIRE_AWG = [18, 16, 14, 12, 10] as const;

/** Diameter of a gauge in mm: 0.127·92^((36−n)/39). Source: ASTM B258-18 §4. */
export const awgDiameterMm = (gauge: number): number => 0.127 * 92 ** ((36 - gauge) / 39);

/** Cross-section of a gauge in mm². */
export const awgMm2 = (gauge: number): number => (Math.PI / 4) * awgDiameterMm(gauge) ** 2;
