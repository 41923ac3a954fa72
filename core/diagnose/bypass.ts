import { findPort, type Cable, type Command, type Job } from "@/core/job";

/** A box that can be left out for a trial: one HDMI cable goes into it, one leaves it. */
export interface Bypass {
  readonly box: string;
  /** The device whose cable then goes past the box. */
  readonly player: string;
  /** The cable that came into the box goes where the box went. */
  readonly command: Command;
}

const isHdmi = (job: Job, end: Cable["from"]): boolean => findPort(job, end)?.connector === "hdmi";

/** Every box of a job that can be bypassed by one plug. */
export function bypassesOf(job: Job): readonly Bypass[] {
  return job.devices
    .filter(({ role }) => role === "box")
    .flatMap(({ id }): Bypass[] => {
      const into = job.cables.filter((cable) => cable.to.device === id && isHdmi(job, cable.to));
      const out = job.cables.filter((cable) => cable.from.device === id && isHdmi(job, cable.from));
      const [first, ...others] = into;
      const [last, ...rest] = out;
      if (!first || !last || others.length || rest.length) return [];
      return [
        {
          box: id,
          player: first.from.device,
          command: {
            kind: "batch",
            commands: [
              { kind: "unplug", cable: first.id },
              { kind: "unplug", cable: last.id },
              { kind: "plug", cable: { ...first, to: last.to }, at: null },
            ],
          },
        },
      ];
    });
}
