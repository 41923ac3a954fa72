export { isThemeName, PALETTE, THEME_COOKIE, type ThemeName } from "./palette";
export { ThemeProvider, useThemeChoice } from "./theme-provider";
export { ThemeSwitch } from "./theme-switch";
