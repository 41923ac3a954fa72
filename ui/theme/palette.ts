export const THEMES = ["dim", "day"] as const;
export type ThemeName = (typeof THEMES)[number];

/** The theme that a person chose; none: that of the system. */
export const THEME_COOKIE = "octachord-theme";
/** The theme of the system when it was last seen, so that the next first paint is right. */
export const SYSTEM_THEME_COOKIE = "octachord-system-theme";

export const isThemeName = (value: unknown): value is ThemeName => THEMES.some((name) => name === value);

/** The same colours as `tokens.css`, where Ant Design needs them as values; a test keeps the two the same. */
export const PALETTE = {
  dim: {
    ground: "#191613",
    sheet: "#211d19",
    raised: "#2b2620",
    line: "#3a332b",
    edge: "#7d7262",
    ink: "#f1e9dc",
    quiet: "#b8ab98",
    brass: "#e3b15c",
    brassHover: "#ecc27a",
    onBrass: "#191613",
    whole: "#86cfa9",
    part: "#f0b55a",
    silent: "#ff9a7d",
    string: "#d9cbb4",
    ghost: "#8f836f",
  },
  day: {
    ground: "#f4efe6",
    sheet: "#fffdf8",
    raised: "#f0e8da",
    line: "#d9cfbf",
    edge: "#8a7e6c",
    ink: "#231e18",
    quiet: "#62584a",
    brass: "#7a4f00",
    brassHover: "#5f3d00",
    onBrass: "#fffdf8",
    whole: "#0d6244",
    part: "#8a5200",
    silent: "#a3300f",
    string: "#4b4236",
    ghost: "#84785f",
  },
} as const satisfies Record<ThemeName, Record<string, string>>;
