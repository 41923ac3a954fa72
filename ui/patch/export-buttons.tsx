"use client";

import { Button } from "antd";
import dayjs from "dayjs";
import type { Arrival } from "@/core/chain";
import { useIntents, useJob } from "@/ui/job";
import { PdfLink } from "@/ui/kit";
import { usePreferences } from "@/ui/preferences";
import styles from "./patch.module.css";
import { patchWords } from "@/ui/words";

/** The map as a drawing to print or send, and the plates back to their computed places. */
export function ExportButtons({ row }: { row: Arrival | null }) {
  const job = useJob((state) => state.job);
  const revision = useJob((state) => state.revision);
  const jobId = useJob((state) => state.id);
  const { units, firm } = usePreferences();
  const { edit, say } = useIntents();
  const print = () => ({ job, row, units, firm, date: dayjs().format("D MMMM YYYY"), revision });
  const save = async (kind: "svg" | "png") => {
    // The drawing is made only when it is asked for.
    const { savePng, saveSvg } = await import("./export-map");
    await (kind === "svg" ? saveSvg(print()) : savePng(print())).catch(() => say(patchWords.drawingFailed));
  };
  const arranged = job.arrangement.filter(({ device }) => job.devices.some(({ id }) => id === device));
  return (
    <div className={styles.exports}>
      <Button size="small" onClick={() => void save("svg")}>
        {patchWords.saveAsSvg}
      </Button>
      <Button size="small" onClick={() => void save("png")}>
        {patchWords.saveAsPng}
      </Button>
      <PdfLink jobId={jobId} print="map" />
      {arranged.length ? (
        <Button
          size="small"
          onClick={() => edit({ kind: "batch", commands: arranged.map(({ device }) => ({ kind: "arrange", device, to: null })) })}
        >
          {patchWords.layThePlatesOutAnew}
        </Button>
      ) : null}
    </div>
  );
}
