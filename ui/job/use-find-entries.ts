"use client";

import { useRouter } from "next/navigation";
import { cableShortName, deviceName, rowWords, upperFirst, VERDICT_WORDS } from "@/core/text";
import type { FindEntry } from "@/ui/frame";
import { useThemeChoice } from "@/ui/theme";
import { useIntents, useJobStore } from "./job-context";
import { PLACES } from "./places";

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
        places.map(({ path, name }): FindEntry => ({ key: path, name, detail: `place, ${phase.toLowerCase()}`, run: goTo(path) })),
      ),
      ...job.devices.map((device): FindEntry => ({
        key: `device ${device.id}`,
        name: device.name,
        detail: "device",
        run: goTo(`gear?device=${device.id}`),
      })),
      ...board.map((row): FindEntry => ({
        key: `row ${row.id}`,
        name: `${deviceName(job, row.player)}, ${rowWords(row)}`,
        detail: `row, ${VERDICT_WORDS[row.verdict].toLowerCase()}`,
        run: goTo(`arrivals?row=${encodeURIComponent(row.id)}`),
      })),
      ...job.cables.map((cable): FindEntry => ({
        key: `cable ${cable.id}`,
        name: upperFirst(cableShortName(job, cable.id)),
        detail: "cable",
        run: goTo(`patch?cable=${cable.id}`),
      })),
      ...(last ? [{ key: "undo", name: `Undo: ${last.words}`, detail: "act", run: undo }] : []),
      ...(next ? [{ key: "redo", name: `Redo: ${next.words}`, detail: "act", run: redo }] : []),
      { key: "add", name: "Add a device", detail: "act", run: goTo("gear?add=1") },
      {
        key: "theme",
        name: theme === "dim" ? "Daylight theme" : "Dim room theme",
        detail: "act",
        run: () => setTheme(theme === "dim" ? "day" : "dim"),
      },
      { key: "keys", name: "Keys", detail: "the shortcut sheet", run: openSheet },
      { key: "new", name: "New job", detail: "act, outside the job", run: () => router.push("/?new=1") },
      { key: "docket", name: "Docket", detail: "place, outside the job", run: () => router.push("/") },
      { key: "stock", name: "Van stock", detail: "place, outside the job", run: () => router.push("/stock") },
    ];
  };
}
