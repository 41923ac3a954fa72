export { LengthField } from "./length-field";
export { TapeField } from "./tape-field";
export { PreferencesProvider, useKeepPreferences, usePreferences } from "./preferences-context";
