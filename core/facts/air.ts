/** Speed of sound in dry air in m/s at a temperature in °C: 331.3·√(1 + T/273.15). Source: ideal gas law with 331.3 m/s at 0 °C. */
export const speedOfSound = (celsius: number): number => 331.3 * Math.sqrt(1 + celsius / 273.15);

/** What a room is taken to have where nobody measured it. */
export const USUAL_CELSIUS = 20;
