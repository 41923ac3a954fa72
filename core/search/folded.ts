/** A text as it is compared in a search: small letters without accents, however these are written. */
export const folded = (text: string): string => text.normalize("NFKD").replace(/\p{M}/gu, "").toLowerCase();
