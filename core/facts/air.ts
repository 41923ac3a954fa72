/** Speed of sound in dry air in m/s at a temperature in °C: 331.3·√(1 + T/273.15). Source: Cramer (1993) at 0 °C, ideal-gas law for the rest. */
export const speedOfSound = (celsius: number): number => 331.3 * Math.sqrt(1 + celsius / 273.15);

/** What a room is taken to have where nobody measured it. */
export const USUAL_CELSIUS = 20;
