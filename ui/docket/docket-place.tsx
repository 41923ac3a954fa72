"use client";

import dayjs from "dayjs";
import { FilePlus2, FileUp } from "lucide-react";
import { Button } from "antd";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useRef, useState, type DragEvent } from "react";
import type { Phase } from "@/core/job";
import type { DocketLine } from "@/core/report";
import type { Outcome } from "@/core/outcome";
import { plural } from "@/core/text";
import { EmptyPlace } from "@/ui/kit";
import { ThemeSwitch } from "@/ui/job";
import styles from "./docket.module.css";
import { DocketLineRow } from "./docket-line";
import { DocketSearch } from "./docket-search";
import { NewJobDialog } from "./new-job-dialog";
import { importJob, restoreJob } from "./requests";

interface Docket {
  readonly jobs: readonly DocketLine[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/** The day book: jobs under their visit day, the worst of each at its side. */
export function DocketPlace({ docket, q, phase }: { docket: Docket; q: string; phase: Phase | null }) {
  const router = useRouter();
  const [notice, setNotice] = useState<{ words: string; binned?: string } | null>(null);
  const [naming, setNaming] = useState(false);
  const file = useRef<HTMLInputElement>(null);

  const take = async (given: File | undefined) => {
    if (!given) return;
    const outcome = await importJob(given);
    if (outcome.ok) router.push(`/jobs/${outcome.value.id}/arrivals`);
    else setNotice({ words: outcome.refusal });
  };
  const putBack = async (id: string) => {
    const outcome = await restoreJob(id);
    setNotice(outcome.ok ? null : { words: outcome.refusal });
    router.refresh();
  };
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    void take(event.dataTransfer.files[0]);
  };
  const show = (next: { q?: string; phase?: Phase | null; page?: number }) =>
    router.replace(addressOf({ q, phase, page: 1, ...next }), { scroll: false });

  return (
    <div className={styles.docket} onDragOver={(event) => event.preventDefault()} onDrop={onDrop}>
      <header className={styles.top}>
        <h1>Docket</h1>
        <Link href="/shelf">Shelf</Link>
        <DocketSearch q={q} phase={phase} onSearch={show} />
        <div className={styles.acts}>
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            hidden
            onChange={(event) => void take(event.target.files?.[0]).finally(() => (event.target.value = ""))}
            data-testid="job-file"
          />
          <Button icon={<FileUp size={16} aria-hidden />} onClick={() => file.current?.click()}>
            Import a job file
          </Button>
          <Button type="primary" icon={<FilePlus2 size={16} aria-hidden />} onClick={() => setNaming(true)}>
            New job
          </Button>
          <ThemeSwitch />
        </div>
      </header>
      <div aria-live="assertive">
        {notice ? (
          <p className={styles.notice}>
            {notice.words}
            {notice.binned === undefined ? null : (
              <Button size="small" onClick={() => void putBack(notice.binned ?? "")}>
                Put it back
              </Button>
            )}
          </p>
        ) : null}
      </div>
      <main className={styles.book}>
        {docket.jobs.length ? (
          <Days
            jobs={docket.jobs}
            onBinned={(outcome) =>
              setNotice(
                outcome.ok ? { words: `${outcome.value.name} lies in the bin.`, binned: outcome.value.id } : { words: outcome.refusal },
              )
            }
          />
        ) : (
          <EmptyDocket searched={q !== "" || phase !== null} onNew={() => setNaming(true)} />
        )}
        <PageTurner docket={docket} onTurn={(page) => show({ page })} />
      </main>
      <p className={styles.count} role="status">
        {plural(docket.total, "job")}
      </p>
      <NewJobDialog open={naming} onClose={() => setNaming(false)} />
    </div>
  );
}

const addressOf = ({ q, phase, page }: { q: string; phase: Phase | null; page: number }): string => {
  const params = new URLSearchParams({ ...(q ? { q } : {}), ...(phase ? { phase } : {}), ...(page > 1 ? { page: String(page) } : {}) });
  return params.size ? `/?${params.toString()}` : "/";
};

function Days({
  jobs,
  onBinned,
}: {
  jobs: readonly DocketLine[];
  onBinned: (outcome: Outcome<{ id: string; name: string }, string>) => void;
}) {
  const days = [...new Set(jobs.map(({ visitOn }) => visitOn))];
  return days.map((day) => (
    <section key={day ?? "none"} className={styles.day} aria-labelledby={`day-${day ?? "none"}`}>
      <h2 id={`day-${day ?? "none"}`}>{day ? <DayName day={day} /> : "No day agreed"}</h2>
      <ul>
        {jobs
          .filter(({ visitOn }) => visitOn === day)
          .map((job) => (
            <DocketLineRow key={job.id} line={job} onBinned={onBinned} />
          ))}
      </ul>
    </section>
  ));
}

function DayName({ day }: { day: string }) {
  const date = dayjs(day);
  return (
    <>
      {date.format("D MMMM")} <span>{date.format("dddd, YYYY")}</span>
    </>
  );
}

function PageTurner({ docket, onTurn }: { docket: Docket; onTurn: (page: number) => void }) {
  const last = Math.ceil(docket.total / docket.pageSize);
  if (last <= 1) return null;
  return (
    <nav aria-label="Pages of the docket" className={styles.pages}>
      <Button disabled={docket.page <= 1} onClick={() => onTurn(docket.page - 1)}>
        Earlier
      </Button>
      <span>
        page {docket.page} of {last}
      </span>
      <Button disabled={docket.page >= last} onClick={() => onTurn(docket.page + 1)}>
        Later
      </Button>
    </nav>
  );
}

function EmptyDocket({ searched, onNew }: { searched: boolean; onNew: () => void }) {
  return (
    <EmptyPlace
      heading={searched ? "No job answers to that" : "The first job stands here"}
      words={
        searched
          ? "Search looks through names, customers, devices, wishes and notes."
          : "Start a job, or drop a job file anywhere on this page."
      }
    >
      {searched ? null : (
        <Button type="primary" onClick={onNew}>
          New job
        </Button>
      )}
    </EmptyPlace>
  );
}
