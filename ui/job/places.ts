import { jobWords } from "@/ui/words";
/** The places of a job, under the phases in working order. Only those that exist. */
export const PLACES = [
  {
    phase: jobWords.survey,
    places: [
      { path: "brief", name: jobWords.brief, key: "0" },
      { path: "gear", name: jobWords.gear, key: "1" },
    ],
  },
  {
    phase: jobWords.design,
    places: [
      { path: "plans", name: jobWords.plans, key: "5" },
      { path: "patch", name: jobWords.patch, key: "2" },
      { path: "arrivals", name: jobWords.arrivals, key: "3" },
      { path: "control", name: jobWords.control, key: "4" },
      { path: "room", name: jobWords.room, key: "6" },
    ],
  },
  {
    phase: jobWords.visit,
    places: [
      { path: "runsheet", name: jobWords.runSheet, key: "7" },
      { path: "prove", name: jobWords.prove, key: "8" },
      { path: "fix", name: jobWords.fix, key: "9" },
    ],
  },
  {
    phase: jobWords.handover,
    places: [{ path: "handover", name: jobWords.handover, key: "h" }],
  },
] as const;
