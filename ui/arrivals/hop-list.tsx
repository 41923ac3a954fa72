"use client";

import { linkFact } from "@/core/facts";
import type { Arrival, Hop } from "@/core/chain";
import type { Job } from "@/core/job";
import { deviceName, lineageWords, reasonFlag, socketName } from "@/core/text";
import { formatMilliseconds } from "@/core/units";
import { useJob } from "@/ui/job";
import styles from "./story.module.css";
import { arrivalsWords } from "@/ui/words";

/** The way of a row, hop by hop: where it goes, what leaves there, what it adds in time, and what is lost at the spot. */
export function HopList({ arrival, marked }: { arrival: Arrival; marked: number | null }) {
  const job = useJob((state) => state.job);
  return (
    <ol className={styles.hops}>
      {arrival.hops.map((hop, index) => {
        const lost = arrival.losses.filter((loss) => loss.hop === index && loss.scope === "path");
        return (
          <li
            key={`${hop.device} ${hop.port} ${hop.cable ?? ""}`}
            className={index === marked ? styles.hopMarked : undefined}
            aria-current={index === marked}
          >
            <b>{placeWords(job, hop)}</b>
            <span>{hop.out ? lineageWords(hop.out) : arrivalsWords.nothingGoesOn}</span>
            <code>{hop.delayMs === null ? arrivalsWords.delayNotKnown : hop.delayMs > 0 ? `+${formatMilliseconds(hop.delayMs)}` : ""}</code>
            {[...new Set(lost.map(({ reason }) => reasonFlag(job, reason)))].map((flag) => (
              <em key={flag}>{flag}</em>
            ))}
          </li>
        );
      })}
    </ol>
  );
}

/** "Bar “HDMI IN” over HDMI", or where inside a device. */
function placeWords(job: Job, { device, port, cable, link }: Hop): string {
  if (cable !== null && link) return arrivalsWords.overTo(linkFact(link).name, socketName(job, { device, port }));
  return port === "speakers" ? arrivalsWords.plays(deviceName(job, device)) : arrivalsWords.sends(deviceName(job, device));
}
