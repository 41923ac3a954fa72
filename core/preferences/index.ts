export { defaultPreferences, Preferences, UNIT_SYSTEMS } from "./preferences";
export { withPresetContents } from "./preset-contents";
