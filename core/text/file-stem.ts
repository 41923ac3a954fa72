/** A name that every file system takes, made from a job's own; "job" where nothing of it can stand in one. */
export const fileStem = (name: string): string =>
  name
    .normalize("NFKD")
    // Accents are letters' own: "Café" becomes "cafe", not "cafe-".
    .replace(/\p{M}+/gu, "")
    .replace(/[^A-Za-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .toLowerCase()
    .slice(0, 60) || "job";
