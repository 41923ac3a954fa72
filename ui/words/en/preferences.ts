/** Words of fields in the firm’s units. */
export const preferencesWords = {
  inMetres: (label: string) => `${label} in metres`,
  inFeet: (label: string) => `${label} in feet`,
};
