/** The places of a job, under the phases in working order. Only those that exist. */
export const PLACES = [
  {
    phase: "Survey",
    places: [
      { path: "brief", name: "Brief", key: "0" },
      { path: "gear", name: "Gear", key: "1" },
    ],
  },
  {
    phase: "Design",
    places: [
      { path: "patch", name: "Patch", key: "2" },
      { path: "arrivals", name: "Arrivals", key: "3" },
    ],
  },
] as const;
