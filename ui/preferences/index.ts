export { LengthField } from "./length-field";
export { PreferencesProvider, useKeepPreferences, usePreferences } from "./preferences-context";
