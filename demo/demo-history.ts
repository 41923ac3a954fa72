import { householdOf } from "@/core/cec";
import { endVisit } from "@/core/handover";
import { VisitEntry, type Job, type JobEvent, type VisitReason } from "@/core/job";
import { proofChecks } from "@/core/proof";
import { demoJob } from "./demo-jobs";

/** A visit of the made-up firm, as it went. */
interface PastVisit {
  readonly day: string;
  readonly who: string;
  readonly reason: VisitReason;
  readonly planned: number;
  readonly minutes: number;
  readonly handedOver?: boolean;
  readonly note?: string;
  /** Checks that were seen otherwise, by their ids; all others as predicted. Left out: nothing was proven. */
  readonly otherwise?: Readonly<Record<string, VisitEntry["sees"]>>;
  /** A search: what was complained of, what mended it, what it was. */
  readonly found?: { readonly symptom: string; readonly cure: string; readonly fault: string };
  readonly events?: readonly { readonly event: JobEvent; readonly note?: string }[];
}

const HISTORY: Readonly<Record<string, readonly PastVisit[]>> = {
  "receiver-den": [
    {
      day: "2025-11-18",
      who: "Ines Halyard",
      reason: "install",
      planned: 150,
      minutes: 172,
      handedOver: true,
      otherwise: { "act tv-remote-standby": { miss: "still-on", device: "receiver" } },
      events: [
        { event: { event: "firmware", device: "receiver", firmware: "3.1.4" } },
        { event: { event: "refused" }, note: "a second subwoofer behind the sofa" },
      ],
    },
    {
      day: "2026-05-06",
      who: "Tom Reed",
      reason: "call-back",
      planned: 30,
      minutes: 22,
      note: "No sound since the cleaning.",
      found: { symptom: "silent:all", cure: "set:receiver:mute", fault: "muted:receiver/mute=on" },
    },
  ],
  "attic-screen": [
    {
      day: "2026-04-09",
      who: "Tom Reed",
      reason: "install",
      planned: 80,
      minutes: 74,
      handedOver: true,
      otherwise: {},
      events: [{ event: { event: "promised", due: "2026-12-10" }, note: "rear speakers, once the sofa has its new place" }],
    },
  ],
  "village-hall": [
    {
      day: "2026-06-20",
      who: "Ines Halyard",
      reason: "check-up",
      planned: 60,
      minutes: 85,
      otherwise: { "act tv-remote-standby": { miss: "still-on", device: "receiver" } },
      found: { symptom: "silent:all", cure: "own-key:receiver", fault: "asleep:receiver/power=standby" },
    },
  ],
};

/** A demo job with what happened in it so far. */
export function demoJobWithHistory(name: string): Job {
  const visits = HISTORY[name] ?? [];
  let job = demoJob(name);
  for (const [index, visit] of visits.entries()) job = { ...job, record: [...job.record, ...entriesOf(job, `${name}-${index}`, visit)] };
  return job;
}

/** Ids that look random and are the same in every demo. */
function idsFrom(seed: string): () => string {
  let state = [...seed].reduce((hash, sign) => (Math.imul(hash, 31) + sign.charCodeAt(0)) >>> 0, 7);
  const part = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state.toString(16).padStart(8, "0");
  };
  return () => {
    const [a, b, c, d] = [part(), part(), part(), part()];
    return `${a}-${b.slice(0, 4)}-4${b.slice(5)}-a${c.slice(1, 4)}-${c.slice(4)}${d}`;
  };
}

function entriesOf(job: Job, seed: string, visit: PastVisit): readonly VisitEntry[] {
  const { day, who, reason, planned, minutes, handedOver = false, note = "", otherwise, found, events = [] } = visit;
  const id = idsFrom(seed);
  let at = 9 * 60;
  const entry = (given: Partial<VisitEntry> & Pick<VisitEntry, "step">): VisitEntry => {
    at += 2;
    const time = `${String(Math.floor(at / 60)).padStart(2, "0")}:${String(at % 60).padStart(2, "0")}`;
    return VisitEntry.parse({ id: id(), state: "done", at: `${day}T${time}:00.000Z`, who, ...given });
  };
  const walk = id();
  const checks = otherwise ? proofChecks(job, householdOf(job, "planned")) : [];
  const names = { found: "As found", left: "As left", visit: day };
  const { event } = endVisit(job, job.record, { day, reason, minutes, handedOver }, names, `${day}T12:00:00.000Z`);
  return [
    ...checks.map((check) => entry({ step: check.id, sees: otherwise?.[check.id] ?? "as-predicted" })),
    ...(found
      ? [
          entry({ step: `fix ${walk} symptom`, fix: { walk, step: "symptom", id: found.symptom, answer: "" } }),
          entry({ step: `fix ${walk} check`, fix: { walk, step: "check", id: found.cure, answer: "mended" }, minutes: 3 }),
          entry({ step: `fix ${walk} found`, fix: { walk, step: "found", id: found.fault, answer: "" } }),
        ]
      : []),
    ...events.map((one, index) => entry({ step: `event ${day} ${index}`, event: one.event, note: one.note ?? "" })),
    entry({ step: `event visit-ended ${day}`, note, event: { ...event, plannedMinutes: planned, snapshot: null } }),
  ];
}
