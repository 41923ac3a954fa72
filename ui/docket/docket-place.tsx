"use client";

import { Button } from "antd";
import { FilePlus2, FileUp } from "lucide-react";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { useMemo, useRef, useState } from "react";
import { OutsideFrame } from "@/ui/frame";
import { EmptyPlace, useChosen } from "@/ui/kit";
import styles from "./docket.module.css";
import drop from "./drop-here.module.css";
import type { LineActs } from "./docket-line";
import { DocketList } from "./docket-list";
import { DocketSearch } from "./docket-search";
import { binJob, copyJob, eraseJob, importJob, restoreJob } from "./requests";
import type { Docket, DocketQuery } from "./use-docket-lines";
import { useFileDrop } from "./use-file-drop";
import { docketWords } from "@/ui/words";

const NewJobDialog = dynamic(() => import("./new-job-dialog").then((module) => module.NewJobDialog), { ssr: false });

interface Notice {
  readonly words: string;
  /** A job that this notice offers to put back. */
  readonly binned?: string;
}

/** The day book: jobs by their visit day, the worst arrival of each and what holds it up at its side. */
interface DocketPlaceProps extends DocketQuery {
  docket: Docket;
  /** What is wrong with the database, each in a sentence. */
  warnings: readonly string[];
}

export function DocketPlace({ docket, q, phase, bin, warnings }: DocketPlaceProps) {
  const router = useRouter();
  const [notice, setNotice] = useState<Notice | null>(null);
  const [naming, setNaming] = useState(false);
  const [asked, setAsked] = useChosen("new");
  const file = useRef<HTMLInputElement>(null);
  const query = useMemo(() => ({ q, phase, bin }), [q, phase, bin]);
  const take = async (given: File | undefined) => {
    if (!given) return;
    const outcome = await importJob(given);
    if (outcome.ok && outcome.value.photosLeftOut.length > 0) {
      setNotice({ words: docketWords.photosLeftOut(outcome.value.name, outcome.value.photosLeftOut) });
      router.refresh();
    } else if (outcome.ok) router.push(`/jobs/${outcome.value.id}/arrivals`);
    else setNotice({ words: outcome.refusal });
  };
  const isOver = useFileDrop((dropped) => void take(dropped));
  const putBack = async (id: string) => {
    const outcome = await restoreJob(id);
    setNotice(outcome.ok ? null : { words: outcome.refusal });
    router.refresh();
  };
  const acts: LineActs = {
    inBin: bin,
    onBin: (line) => {
      const put = async () => {
        const outcome = await binJob(line.id);
        setNotice(outcome.ok ? { words: docketWords.liesInTheBin(line.name), binned: line.id } : { words: outcome.refusal });
        router.refresh();
      };
      void put();
    },
    onRestore: (line) => void putBack(line.id),
    onErase: (line) => {
      const erase = async () => {
        const outcome = await eraseJob(line.id);
        setNotice({ words: outcome.ok ? docketWords.wasErased(line.name) : outcome.refusal });
        router.refresh();
      };
      void erase();
    },
    onCopy: (line) => {
      const copy = async () => {
        const outcome = await copyJob(line.id, docketWords.copyOf(line.name.slice(0, 290)));
        setNotice({ words: outcome.ok ? docketWords.wasCopied(line.name) : outcome.refusal });
        router.refresh();
      };
      void copy();
    },
  };
  const show = (next: Partial<DocketQuery>) => router.replace(addressOf({ ...query, ...next }), { scroll: false });
  return (
    <OutsideFrame
      acts={
        <>
          <input
            ref={file}
            type="file"
            accept=".json,.zip,application/json,application/zip"
            hidden
            onChange={(event) => void take(event.target.files?.[0]).finally(() => (event.target.value = ""))}
            data-testid="job-file"
          />
          <Button icon={<FileUp size={16} aria-hidden />} onClick={() => file.current?.click()}>
            {docketWords.importAJobFile}
          </Button>
          <Button type="primary" icon={<FilePlus2 size={16} aria-hidden />} onClick={() => setNaming(true)}>
            {docketWords.newJob}
          </Button>
        </>
      }
    >
      <div className={styles.docket}>
        <div className={styles.bar}>
          <DocketSearch q={q} phase={phase} bin={bin} onSearch={show} />
          <p className={styles.count} role="status">
            {bin ? docketWords.jobsInTheBin(docket.total) : docketWords.jobs(docket.total)}
          </p>
        </div>
        <div aria-live="assertive">
          {warnings.map((words) => (
            <p key={words} className={styles.notice}>
              {words}
            </p>
          ))}
          {notice ? (
            <p className={styles.notice}>
              {notice.words}
              {notice.binned === undefined ? null : (
                <Button size="small" onClick={() => void putBack(notice.binned ?? "")}>
                  {docketWords.putItBack}
                </Button>
              )}
            </p>
          ) : null}
        </div>
        {docket.jobs.length ? (
          <DocketList key={`${q} ${phase ?? ""} ${String(bin)}`} docket={docket} query={query} acts={acts} />
        ) : (
          <main className={styles.book}>
            <EmptyDocket searched={q !== "" || phase !== null} bin={bin} onNew={() => setNaming(true)} />
          </main>
        )}
        {isOver ? <p className={drop.dropHere}>{docketWords.letGoOfTheFile}</p> : null}
      </div>
      {naming || asked !== null ? <NewJobDialog onClose={() => (setNaming(false), setAsked(null))} /> : null}
    </OutsideFrame>
  );
}

const addressOf = ({ q, phase, bin }: DocketQuery): string => {
  const params = new URLSearchParams({ ...(q ? { q } : {}), ...(phase ? { phase } : {}), ...(bin ? { bin: "1" } : {}) });
  return params.size ? `/?${params.toString()}` : "/";
};

function EmptyDocket({ searched, bin, onNew }: { searched: boolean; bin: boolean; onNew: () => void }) {
  if (bin && !searched) return <EmptyPlace heading={docketWords.theBinIsEmpty} words={docketWords.binWords} />;
  return (
    <EmptyPlace
      heading={searched ? docketWords.noJobAnswersToThat : docketWords.theFirstJobStandsHere}
      words={searched ? docketWords.searchWords : docketWords.emptyDocket}
    >
      {searched ? null : (
        <Button type="primary" onClick={onNew}>
          {docketWords.newJob}
        </Button>
      )}
    </EmptyPlace>
  );
}
