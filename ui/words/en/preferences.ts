/** Words of fields in the firm’s units. */
export const preferencesWords = {
  inMetres: (label: string) => `${label} in metres`,
  aLengthBetween: (least: number, most: number, unit: string) =>
    `A length from ${least} to ${most}\u2009${unit}, for instance 3.42 or 11\u2032 2 5/8\u2033`,
  inFeet: (label: string) => `${label} in feet`,
};
