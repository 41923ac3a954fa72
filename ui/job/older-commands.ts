// What lifts edits of an older program knows the whole shelf; it is fetched only where there are such edits.
export { readCommands } from "@/core/job";
