import { withMoreSockets, type Device, SoundRoute } from "@/core/device";
import type { PlanOptions, WiringPlan } from "../search";
import { inputKinds, NO_SOCKETS, type WiringSpace } from "../space";
import type { Weights } from "../evaluation";
import { bestWithLeads } from "./own-leads";

/** Something about a room that is thought otherwise, to see how much depends on it. */
export type Supposition =
  /** A device with one more socket like one that it has. */
  | { readonly suppose: "one-more-input"; readonly device: string }
  /** The screen's return socket is eARC. */
  | { readonly suppose: "earc"; readonly device: string }
  /** A screen without any return socket has one. */
  | { readonly suppose: "return-socket"; readonly device: string }
  /** The screen hands DTS on. */
  | { readonly suppose: "passes-dts"; readonly device: string }
  /** A cable may run where the brief allows none. */
  | { readonly suppose: "run-allowed"; readonly between: readonly [string, string] };

/** What becomes of the best plan if something were otherwise. */
export interface WhatIf {
  readonly supposition: Supposition;
  readonly plan: WiringPlan;
  /** Points that it has more than the best plan of the room as it is. */
  readonly gain: number;
  readonly proven: boolean;
}

/** Less than this nobody would buy or drill for. */
const WORTH_TELLING = 0.5;

/** How the best plan of a room changes with one thing about it, what brings most first; what changes nothing worth telling is left out. */
export function whatIfs(space: WiringSpace, weights: Weights, best: WiringPlan, options: PlanOptions = {}): readonly WhatIf[] {
  const suppositions = suppositionsOf(space);
  const share = (options.mostMs ?? Infinity) / Math.max(1, suppositions.length);
  return suppositions
    .flatMap((supposition): WhatIf[] => {
      const { best: plan, proven } = bestWithLeads(supposed(space, supposition), weights, { ...options, mostMs: share });
      const gain = plan ? plan.points - best.points : 0;
      return plan && gain >= WORTH_TELLING ? [{ supposition, plan, gain, proven }] : [];
    })
    .toSorted((a, b) => b.gain - a.gain);
}

/** What may be supposed of a room: only what is not so already. */
export function suppositionsOf({ screens, system, job, players }: WiringSpace): readonly Supposition[] {
  const hubs = [...screens, ...(screens.includes(system) ? [] : [system])];
  return [
    ...hubs.flatMap((hub): Supposition[] => {
      const sockets = inputKinds(hub, NO_SOCKETS).reduce((sum, { ports }) => sum + ports.length, 0);
      return sockets > 0 && sockets <= players.length ? [{ suppose: "one-more-input", device: hub.id }] : [];
    }),
    ...screens.flatMap((screen): Supposition[] => {
      const returns = returnsOf(screen);
      if (returns.every((kind) => kind === "none") && returns.length) return [{ suppose: "return-socket", device: screen.id }];
      return [
        ...(returns.includes("arc") && !returns.includes("earc") ? [{ suppose: "earc", device: screen.id } as const] : []),
        ...(returns.includes("arc") || returns.includes("earc") ? refusesDts(screen) : []),
      ];
    }),
    ...job.brief.runs.flatMap(({ between, allowed }): Supposition[] => (allowed ? [] : [{ suppose: "run-allowed", between }])),
  ];
}

const returnsOf = ({ ports }: Device) =>
  ports.flatMap((port) => (port.connector === "hdmi" && port.direction === "in" && port.returns !== null ? [port.returns] : []));

const refusesDts = (screen: Device): readonly Supposition[] =>
  screen.routes.some((route) => route.kind === "sound" && route.passes?.some(({ coding }) => coding === "dts"))
    ? []
    : [{ suppose: "passes-dts", device: screen.id }];

/** The space in which it is so. */
export function supposed(space: WiringSpace, supposition: Supposition): WiringSpace {
  if (supposition.suppose === "run-allowed") {
    const runs = space.job.brief.runs.map((run) => (run.between === supposition.between ? { ...run, allowed: true } : run));
    return { ...space, job: { ...space.job, brief: { ...space.job.brief, runs } } };
  }
  const change = (device: Device) => (device.id === supposition.device ? otherwise(device, supposition.suppose) : device);
  const job = { ...space.job, devices: space.job.devices.map(change) };
  return { ...space, job, system: change(space.system), screens: space.screens.map(change) };
}

function otherwise(device: Device, suppose: Exclude<Supposition["suppose"], "run-allowed">): Device {
  const inputs = device.ports.filter((port) => port.connector === "hdmi" && port.direction === "in");
  switch (suppose) {
    case "one-more-input": {
      const like = inputKinds(device, NO_SOCKETS).at(-1)?.ports.at(-1) ?? "";
      return withMoreSockets(device, like, [`${like}-twin`]);
    }
    case "earc":
      return returningOn(device, inputs.find((port) => port.connector === "hdmi" && port.returns === "arc")?.id, "earc");
    case "return-socket": {
      const [first, ...others] = inputs;
      const from = [...others, ...device.sources].map(({ id }) => id);
      if (!first || from.length === 0) return device;
      return returningOn({ ...device, routes: [...device.routes, plainReturn(from, first.id)] }, first.id, "arc");
    }
    case "passes-dts":
      return {
        ...device,
        routes: device.routes.map((route) =>
          route.kind === "sound" && route.passes?.length
            ? { ...route, passes: [...route.passes, { coding: "dts", channels: "5.1", objects: false }] }
            : route,
        ),
      };
  }
}

/** What a usual screen hands back over ARC. */
const plainReturn = (from: readonly string[], to: string): SoundRoute =>
  SoundRoute.parse({
    kind: "sound",
    from,
    to: [to],
    passes: [
      { coding: "ac3", channels: "5.1", objects: false },
      { coding: "eac3", channels: "5.1", objects: true },
    ],
    delayMs: null,
  });

/** The screen with a return of a kind at one of its sockets, and the switch for it. */
function returningOn(device: Device, socket: string | undefined, kind: "arc" | "earc"): Device {
  const isThere = device.settings.some(({ key }) => key === kind);
  return {
    ...device,
    ports: device.ports.map((port) => (port.connector === "hdmi" && port.id === socket ? { ...port, returns: kind } : port)),
    settings: isThere
      ? device.settings
      : [...device.settings, { key: kind, options: ["on", "off"], found: "on", planned: null, left: null }],
  };
}
