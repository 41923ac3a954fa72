import type { Arrival, UnknownFact } from "@/core/chain";
import { effectiveSetting, type Device, type Port } from "@/core/device";
import { findPort, type Cable, type Job } from "@/core/job";
import type { PictureLoss } from "@/core/picture";

/** Something nobody has given yet: what the engine's verdicts may depend on, and figures of sockets, delays and cable runs beside. */
export type SurveyFact =
  | UnknownFact
  | { readonly fact: "socket-rate"; readonly device: string; readonly port: string }
  | { readonly fact: "socket-hdcp"; readonly device: string; readonly port: string }
  | { readonly fact: "sound-delay"; readonly device: string }
  | { readonly fact: "picture-delay"; readonly device: string }
  | { readonly fact: "volume"; readonly device: string }
  | { readonly fact: "run-length"; readonly rooms: readonly [string, string] };

/** A question for the visit, with the rows whose verdict waits for its answer. */
export interface OpenQuestion {
  readonly fact: SurveyFact;
  readonly rows: readonly string[];
}

/** Everything to find out on site: first what a verdict waits for, then the rest in the order of the gear. */
export function openQuestions(job: Job, board: readonly Arrival[]): readonly OpenQuestion[] {
  const waiting = new Map<string, { fact: SurveyFact; rows: string[] }>();
  const note = (fact: SurveyFact, row?: string) => {
    const key = JSON.stringify(fact);
    const known = waiting.get(key) ?? { fact, rows: [] };
    waiting.set(key, known);
    if (row && !known.rows.includes(row)) known.rows.push(row);
  };
  for (const { id, losses, pictureLosses } of board) {
    for (const { reason } of losses) if ("unknown" in reason) note(reason.unknown, id);
    for (const fact of pictureLosses.flatMap((loss) => pictureWaitsFor(job, loss))) note(fact, id);
  }
  for (const fact of [
    ...job.devices.flatMap(factsOfDevice),
    ...job.cables.flatMap((cable) => factsOfCable(job, cable)),
    ...factsOfRuns(job),
  ])
    note(fact);
  return [...waiting.values()].sort((a, b) => Number(b.rows.length > 0) - Number(a.rows.length > 0));
}

/** What would have to be known to judge a picture: a setting, or what a socket on its way can do. */
function pictureWaitsFor(job: Job, loss: PictureLoss): readonly SurveyFact[] {
  if (loss.code === "picture-setting-unknown") return [{ fact: "setting", device: loss.device, setting: loss.setting }];
  const port = loss.code === "picture-unknown" ? findPort(job, loss) : undefined;
  return port && loss.code === "picture-unknown" ? factsOfPort(loss.device, port).filter(({ fact }) => fact !== "return-socket") : [];
}

function factsOfDevice(device: Device): readonly SurveyFact[] {
  const { id } = device;
  return [
    ...device.settings.flatMap(({ key }): SurveyFact[] =>
      effectiveSetting(device, key, "planned") === null ? [{ fact: "setting", device: id, setting: key }] : [],
    ),
    ...device.ports.flatMap((port) => factsOfPort(id, port)),
    ...(device.decodes === null ? [{ fact: "decoders", device: id } as const] : []),
    ...device.presents.flatMap((rule): SurveyFact[] =>
      rule.rule === "list" && rule.sound === null && rule.ports[0] ? [{ fact: "listing", device: id, port: rule.ports[0] }] : [],
    ),
    ...device.routes.flatMap((route): SurveyFact[] =>
      route.kind === "sound" && route.passes === null && route.from[0] ? [{ fact: "passes", device: id, port: route.from[0] }] : [],
    ),
    ...(device.speakers && device.speakers.delayMs === null ? [{ fact: "sound-delay", device: id } as const] : []),
    ...(device.display && device.display.delayMs === null ? [{ fact: "picture-delay", device: id } as const] : []),
    ...(device.role === "sound" && device.volume === null ? [{ fact: "volume", device: id } as const] : []),
  ];
}

function factsOfPort(device: string, port: Port): readonly SurveyFact[] {
  if (port.connector !== "hdmi") return [];
  return [
    ...(port.returns === null ? [{ fact: "return-socket", device, port: port.id } as const] : []),
    ...(port.maxGbps === null ? [{ fact: "socket-rate", device, port: port.id } as const] : []),
    ...(port.hdcp === null ? [{ fact: "socket-hdcp", device, port: port.id } as const] : []),
  ];
}

/** Return wires matter only where a return could run. */
function factsOfCable(job: Job, cable: Cable): readonly SurveyFact[] {
  const returns = [cable.from, cable.to].every(({ device, port }) =>
    job.devices.some(
      ({ id, ports }) => id === device && ports.some((one) => one.id === port && one.connector === "hdmi" && one.returns !== "none"),
    ),
  );
  return cable.returnWires === null && returns ? [{ fact: "return-wires", cable: cable.id }] : [];
}

const factsOfRuns = ({ brief }: Job): readonly SurveyFact[] =>
  brief.runs.flatMap(({ between, allowed, lengthM }): SurveyFact[] =>
    allowed && lengthM === null ? [{ fact: "run-length", rooms: between }] : [],
  );
