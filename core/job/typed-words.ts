import type { Job } from "./job";

/** Everything that a person typed anywhere in a job, in small letters: what a search of the docket looks through. */
export function typedWords(job: Job): string {
  const { brief } = job;
  const typed = [
    job.name,
    job.customer,
    job.visitOn ?? "",
    brief.wishes,
    brief.household,
    ...job.rooms.flatMap(({ name, space }) => [
      name,
      ...(space?.seats ?? []).map((seat) => seat.name),
      ...(space?.obstacles ?? []).map((one) => one.name),
    ]),
    ...job.devices.flatMap(({ name, maker, note, ports, sources }) => [
      name,
      maker,
      note,
      ...ports.map(({ label }) => label),
      ...sources.map((source) => source.name),
    ]),
    ...job.cables.flatMap(({ label, tags }) => [label, tags.from, tags.to]),
    ...job.notes.map(({ text }) => text),
    ...job.snapshots.map(({ name }) => name),
    ...job.attachments.map(({ name }) => name),
    job.visit.address,
    ...job.visit.added.map(({ says }) => says),
  ];
  return typed.filter(Boolean).join("\n").toLocaleLowerCase("en");
}
