"use client";

import { Button } from "antd";
import { Download, Trash2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { emptyJob, type Job } from "@/core/job";
import type { DocketLine } from "@/core/report";
import { done, type Outcome } from "@/core/outcome";
import { arrivalSentence, deviceName, reasonFlag, rowWords } from "@/core/text";
import { CordThumbnail, VerdictMark } from "@/ui/kit";
import styles from "./docket.module.css";
import { binJob } from "./requests";

/** A job as a line of the day book, with the cord of its worst arrival. */
export function DocketLineRow({
  line,
  onBinned,
}: {
  line: DocketLine;
  onBinned: (outcome: Outcome<{ id: string; name: string }, string>) => void;
}) {
  const router = useRouter();
  const bin = async () => {
    const outcome = await binJob(line.id);
    onBinned(outcome.ok ? done({ id: line.id, name: line.name }) : outcome);
    router.refresh();
  };
  return (
    <li className={styles.line}>
      <Link href={`/jobs/${line.id}/arrivals`} className={styles.job}>
        <b dir="auto">{line.name}</b>
        <span dir="auto">{line.customer || "no customer noted"}</span>
      </Link>
      <span className={styles.phase}>{line.phase}</span>
      <Worst line={line} />
      <span className={styles.lineActs}>
        <Button
          type="text"
          href={`/api/jobs/${line.id}/export`}
          icon={<Download size={16} aria-hidden />}
          aria-label={`Export ${line.name} as a file`}
          title="Export as a file"
        />
        <Button
          type="text"
          onClick={() => void bin()}
          icon={<Trash2 size={16} aria-hidden />}
          aria-label={`Put ${line.name} into the bin`}
          title="Put into the bin"
        />
      </span>
    </li>
  );
}

function Worst({ line }: { line: DocketLine }) {
  if (!line.worst) return <span className={styles.nothing}>no player noted yet</span>;
  const { arrival } = line.worst;
  const job: Job = { ...emptyJob(line.name), ...line.worst.job };
  const loss = arrival.losses.find(({ scope }) => scope === "path");
  return (
    <>
      <CordThumbnail arrival={arrival} label={arrivalSentence(job, arrival)} />
      <span className={styles.worst}>
        <VerdictMark verdict={arrival.verdict} />
        <span>
          {loss
            ? `${deviceName(job, arrival.player)}, ${rowWords(arrival)}: ${reasonFlag(job, loss.reason)}`
            : line.whole === line.rows
              ? `all ${line.rows} rows whole`
              : ""}
        </span>
      </span>
    </>
  );
}
