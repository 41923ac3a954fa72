/** What an experienced installer needs, from and to, in minutes; waits are what nobody's hands are needed for. Source: estimates of the trade, to be corrected by the firm. */
export const VISIT_MINUTES = {
  protect: { from: 2, to: 5, wait: 0 },
  photo: { from: 2, to: 4, wait: 0 },
  "power-off": { from: 1, to: 2, wait: 0 },
  unplug: { from: 1, to: 2, wait: 0 },
  mount: { from: 20, to: 40, wait: 0 },
  place: { from: 3, to: 8, wait: 0 },
  pull: { from: 20, to: 60, wait: 0 },
  plug: { from: 1, to: 2, wait: 0 },
  "plug-behind-screen": { from: 5, to: 10, wait: 0 },
  wire: { from: 3, to: 8, wait: 0 },
  "fit-module": { from: 3, to: 6, wait: 0 },
  "power-on": { from: 1, to: 1, wait: 0.5 },
  firmware: { from: 1, to: 3, wait: 10 },
  charge: { from: 1, to: 1, wait: 30 },
  isolate: { from: 2, to: 4, wait: 0.5 },
  pair: { from: 1, to: 3, wait: 0.5 },
  confirm: { from: 1, to: 1, wait: 0 },
  set: { from: 1, to: 3, wait: 0 },
  pattern: { from: 1, to: 3, wait: 0 },
  calibrate: { from: 3, to: 10, wait: 0 },
  dial: { from: 3, to: 6, wait: 0 },
  tone: { from: 3, to: 6, wait: 0 },
  prove: { from: 2, to: 4, wait: 0 },
  "prove-drift": { from: 2, to: 3, wait: 10 },
  acts: { from: 5, to: 10, wait: 0 },
  label: { from: 1, to: 1, wait: 0 },
  "by-hand": { from: 5, to: 5, wait: 0 },
  "hand-over": { from: 10, to: 20, wait: 0 },
} as const satisfies Record<string, { readonly from: number; readonly to: number; readonly wait: number }>;

export type VisitWork = keyof typeof VISIT_MINUTES;
export const VISIT_WORKS = Object.keys(VISIT_MINUTES) as [VisitWork, ...VisitWork[]];
