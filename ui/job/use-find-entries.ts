"use client";

import { useRouter } from "next/navigation";
import { unitsOf } from "@/core/device";
import { cableShortName, deviceName, rowWords, upperFirst, verdictWords } from "@/core/text";
import type { FindEntry } from "@/ui/frame";
import { useThemeChoice } from "@/ui/theme";
import { useIntents, useJobStore } from "./job-context";
import { PLACES } from "./places";
import { jobWords } from "@/ui/words";

/** Everything of the open job that can be gone to or done; made when it is asked for. */
export function useFindEntries(openSheet: () => void): () => readonly FindEntry[] {
  const router = useRouter();
  const store = useJobStore();
  const { undo, redo } = useIntents();
  const { theme, setTheme } = useThemeChoice();
  return () => {
    const { id, job, board, done, undone } = store.getState();
    const goTo = (path: string) => () => router.push(`/jobs/${id}/${path}`);
    const last = done.at(-1);
    const next = undone.at(-1);
    return [
      ...PLACES.flatMap(({ phase, places }) =>
        places.map(({ path, name }): FindEntry => ({ key: path, name, detail: jobWords.place(phase.toLowerCase()), run: goTo(path) })),
      ),
      ...job.devices.map((device): FindEntry => ({
        key: `device ${device.id}`,
        name: device.name,
        detail: jobWords.device,
        run: goTo(`gear?device=${device.id}`),
      })),
      ...job.devices.flatMap((device) =>
        unitsOf(device).map((unit): FindEntry => ({
          key: `unit ${device.id} ${unit.id}`,
          name: `${upperFirst(unit.name)}, ${device.name}`,
          detail: jobWords.unit,
          run: goTo(`room?chosen=${encodeURIComponent(`unit ${device.id} ${unit.id}`)}`),
        })),
      ),
      ...board.map((row): FindEntry => ({
        key: `row ${row.id}`,
        name: `${deviceName(job, row.player)}, ${rowWords(row)}`,
        detail: jobWords.row(verdictWords(row).toLowerCase()),
        run: goTo(`arrivals?row=${encodeURIComponent(row.id)}`),
      })),
      ...job.cables.map((cable): FindEntry => ({
        key: `cable ${cable.id}`,
        name: upperFirst(cableShortName(job, cable.id)),
        detail: jobWords.cable,
        run: goTo(`patch?cable=${cable.id}`),
      })),
      ...(last ? [{ key: "undo", name: jobWords.undo(last.words), detail: jobWords.act, run: undo }] : []),
      ...(next ? [{ key: "redo", name: jobWords.redo(next.words), detail: jobWords.act, run: redo }] : []),
      { key: "add", name: jobWords.addADevice, detail: jobWords.act, run: goTo("gear?add=1") },
      {
        key: "theme",
        name: theme === "dim" ? jobWords.daylightTheme : jobWords.dimRoomTheme,
        detail: jobWords.act,
        run: () => setTheme(theme === "dim" ? "day" : "dim"),
      },
      { key: "keys", name: jobWords.keys, detail: jobWords.theShortcutSheet, run: openSheet },
      { key: "new", name: jobWords.newJob, detail: jobWords.actOutsideTheJob, run: () => router.push("/?new=1") },
      { key: "docket", name: jobWords.docket, detail: jobWords.placeOutsideTheJob, run: () => router.push("/") },
      { key: "days", name: jobWords.days, detail: jobWords.placeOutsideTheJob, run: () => router.push("/days") },
      { key: "stock", name: jobWords.vanStock, detail: jobWords.placeOutsideTheJob, run: () => router.push("/stock") },
    ];
  };
}
