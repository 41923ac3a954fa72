import { NO_HISTORY } from "@/core/diagnose";
import { householdSheet, type SheetFact, type SheetLine, type SheetSectionId } from "@/core/handover";
import type { Job } from "@/core/job";
import { device, room, set } from "./room-under-test";

/** For tests of the sheet: the firm whose sheet it is, with the search for faults. */
export const SOURCE = { firm: { name: "Firm", phone: "12" }, faults: NO_HISTORY };

export const sectionOf = (job: Job, id: SheetSectionId): readonly SheetLine[] =>
  householdSheet(job, SOURCE).sections.find((one) => one.id === id)?.lines ?? [];
export const factsOf = (job: Job, id: SheetSectionId): readonly SheetFact[] => sectionOf(job, id).map(({ fact }) => fact);

/** A streamer at the TV, and a bar that gets its sound back over ARC. */
export const overArc = (...settings: readonly string[]): Job =>
  set(
    room(
      [device("tv-arc", "tv"), device("bar-arc-optical", "bar"), device("streamer-4k", "streamer")],
      "streamer hdmi-out > tv hdmi2",
      "bar hdmi-out > tv hdmi1",
    ),
    ...settings,
  );
