/** Words of what stands around every page outside a job. */
export const frameWords = {
  findWithKeys: "Find a job, place, device or action (Ctrl K)",
  find: "Find",
  job: (customer: string) => `job, ${customer}`,
  findLabel: "Find a job, place, device or action",
  found: "Found",
  findPlaceholder: "a job, a place, a device, an action …",
  nothingAnswers: "Nothing matches.",
  docket: "Docket",
  join: "Five questions",
  shelf: "Shelf",
  vanStock: "Van stock",
  settings: "Settings",
  placesOutsideTheJobs: "Places outside the jobs",
  place: "place",
  newJob: "New job",
  act: "action",
};
