export { SettingsPlace } from "./settings-place";
