export { jobFromTemplate, TEMPLATES } from "./templates";
