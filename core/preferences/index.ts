export { defaultPreferences, MAX_FIRM_PICTURE, Preferences, UNIT_SYSTEMS } from "./preferences";
export { withPresetContents } from "./preset-contents";
