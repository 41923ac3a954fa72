"use client";

import { Button, Popconfirm } from "antd";
import dayjs from "dayjs";
import { Copy, Download, Trash2, Undo2 } from "lucide-react";
import Link from "next/link";
import type { DocketLine } from "@/core/report";
import { nextActWords } from "@/core/text";
import { CordThumbnail, VerdictMark } from "@/ui/kit";
import styles from "./docket.module.css";
import { docketWords } from "@/ui/words";

/** What can be done with a job from its line. */
export interface LineActs {
  readonly inBin: boolean;
  readonly onBin: (line: DocketLine) => void;
  readonly onRestore: (line: DocketLine) => void;
  readonly onErase: (line: DocketLine) => void;
  readonly onCopy: (line: DocketLine) => void;
}

/** A job as a line of the day book, with the cord of its worst arrival and what holds it up. */
export function DocketLineRow({ line, acts }: { line: DocketLine; acts: LineActs }) {
  return (
    <div className={styles.line}>
      {acts.inBin ? (
        <span className={styles.job}>
          <Name line={line} />
        </span>
      ) : (
        <Link href={`/jobs/${line.id}/arrivals`} className={styles.job}>
          <Name line={line} />
        </Link>
      )}
      <span className={styles.phase}>
        {line.phase}
        <span>{line.erasedOn ? docketWords.goesOn(dayjs(line.erasedOn).format("D MMM YYYY")) : dueOf(line)}</span>
      </span>
      <Worst line={line} />
      <Acts line={line} acts={acts} />
    </div>
  );
}

const dueOf = ({ summary }: DocketLine): string => (summary ? nextActWords(summary.next) : docketWords.damagedOpenIt);

const Name = ({ line }: { line: DocketLine }) => (
  <>
    <b dir="auto">{line.name}</b>
    <span dir="auto">{line.customer || docketWords.noCustomerNoted}</span>
  </>
);

/** What holds a job up, in a few words each. */
function holdUps({ summary, missingParts, proven: { proven, otherwise } }: DocketLine): readonly string[] {
  return [
    ...(summary && proven + otherwise > 0 ? [docketWords.proven(proven, summary.checks.length)] : []),
    ...(otherwise ? [docketWords.seenOtherwise(otherwise)] : []),
    ...(summary?.waiting ? [docketWords.toFindOut(summary.waiting)] : []),
    ...(summary?.unknown ? [docketWords.notKnown(summary.unknown)] : []),
    ...(missingParts ? [docketWords.missing(missingParts)] : []),
  ];
}

function Worst({ line }: { line: DocketLine }) {
  const { summary } = line;
  if (!summary?.worst)
    return <span className={styles.nothing}>{summary ? docketWords.noPlayerNotedYet : docketWords.documentDoesNotRead}</span>;
  const { arrival, spoken, flag } = summary.worst;
  const held = holdUps(line);
  return (
    <>
      <CordThumbnail arrival={arrival} label={spoken} />
      <span className={styles.worst}>
        <VerdictMark row={arrival} />
        <span title={flag ?? undefined}>{flag ?? (summary.whole === summary.rows ? docketWords.allRowsWhole(summary.rows) : "")}</span>
        {held.length ? (
          <span className={styles.held} title={held.join(" · ")}>
            {held.join(" · ")}
          </span>
        ) : null}
      </span>
    </>
  );
}

function Acts({ line, acts }: { line: DocketLine; acts: LineActs }) {
  if (acts.inBin)
    return (
      <span className={styles.lineActs}>
        <Button icon={<Undo2 size={16} aria-hidden />} onClick={() => acts.onRestore(line)} aria-label={docketWords.restoreJob(line.name)}>
          {docketWords.putItBack}
        </Button>
        <Popconfirm
          title={docketWords.eraseForGood(line.name)}
          description={docketWords.eraseWords}
          okText={docketWords.erase}
          okButtonProps={{ danger: true }}
          cancelText={docketWords.keepIt}
          placement="bottomRight"
          onConfirm={() => acts.onErase(line)}
        >
          <Button danger icon={<Trash2 size={16} aria-hidden />} aria-label={docketWords.eraseJob(line.name)}>
            {docketWords.erase}
          </Button>
        </Popconfirm>
      </span>
    );
  return (
    <span className={styles.lineActs}>
      <Button
        type="text"
        onClick={() => acts.onCopy(line)}
        icon={<Copy size={16} aria-hidden />}
        aria-label={docketWords.copyJob(line.name)}
        title={docketWords.copyAsANewJob}
        disabled={!line.summary}
      />
      <Button
        type="text"
        href={line.summary ? `/api/jobs/${line.id}/export` : `/api/jobs/${line.id}/document`}
        icon={<Download size={16} aria-hidden />}
        aria-label={docketWords.exportJob(line.name)}
        title={docketWords.exportAsAFile}
      />
      <Button
        type="text"
        onClick={() => acts.onBin(line)}
        icon={<Trash2 size={16} aria-hidden />}
        aria-label={docketWords.binJob(line.name)}
        title={docketWords.putIntoTheBin}
      />
    </span>
  );
}
