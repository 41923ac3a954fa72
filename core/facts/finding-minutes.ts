/** Minutes of one check or cure in the hands of an experienced person. Source: estimates of the trade; a glance 0.2 to 0.5, a menu 1 to 3, a restart 2 to 4, behind a mounted screen 5 to 10, another cable from the van 3 to 8. In quarters, so that what is shown adds up by hand. */
export const FINDING_MINUTES = {
  ask: 0.25,
  glance: 0.25,
  key: 0.25,
  play: 0.75,
  tone: 0.75,
  list: 1.5,
  menu: 1.5,
  act: 1,
  "red-light": 1.5,
  plug: 2,
  "plug-behind-screen": 6,
  lead: 5,
  "lead-behind-screen": 9,
  restart: 3,
  cycle: 5,
  update: 12,
  pair: 4,
  charge: 3,
  place: 4,
  wire: 5,
  bypass: 5,
  box: 8,
  /** To find, order, fit and set up another: it is never a first step. */
  replace: 90,
  /** To write down what was seen and to come back with more; what it costs to give up. */
  "give-up": 120,
} as const satisfies Record<string, number>;

export type FindingWork = keyof typeof FINDING_MINUTES;
