export { isThemeName, PALETTE, SYSTEM_THEME_COOKIE, THEME_COOKIE, type ThemeName } from "./palette";
export { ThemeProvider, useThemeChoice } from "./theme-provider";
export { ThemeSwitch } from "./theme-switch";
