"use client";

import { Modal } from "antd";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { z } from "zod";
import { askServer, PickList } from "@/ui/kit";
import { frameWords } from "@/ui/words";

/** Something that can be gone to or done from anywhere. */
export interface FindEntry {
  readonly key: string;
  readonly name: string;
  readonly detail: string;
  readonly run: () => void;
}

const Found = z.object({ jobs: z.array(z.object({ id: z.string(), name: z.string(), customer: z.string() })) });
const PAUSE_MS = 150;
const MOST_JOBS = 6;

/** One field that finds jobs, places, devices and acts by a few letters. */
export function FindDialog({ entries, onClose }: { entries: readonly FindEntry[]; onClose: () => void }) {
  const router = useRouter();
  const [words, setWords] = useState("");
  const jobs = useJobs(words).map(({ id, name, customer }): FindEntry => ({
    key: `job ${id}`,
    name,
    detail: customer ? frameWords.job(customer) : "job",
    run: () => router.push(`/jobs/${id}`),
  }));
  const all = [...entries, ...jobs];
  return (
    <Modal title={frameWords.find} open onCancel={onClose} footer={null} width={620}>
      <PickList
        label={frameWords.findLabel}
        listLabel={frameWords.found}
        placeholder={frameWords.findPlaceholder}
        rows={all}
        nothing={frameWords.nothingAnswers}
        onWords={setWords}
        onPick={(key) => {
          onClose();
          all.find((entry) => entry.key === key)?.run();
        }}
      />
    </Modal>
  );
}

interface FoundJob {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
}

/** Jobs that answer to the words, from the server; none while it is away. */
function useJobs(words: string): readonly FoundJob[] {
  const [jobs, setJobs] = useState<readonly FoundJob[]>([]);
  useEffect(() => {
    let wanted = true;
    const timer = setTimeout(() => {
      const ask = async () => {
        const answer = await askServer(`/api/jobs?q=${encodeURIComponent(words.slice(0, 200))}`, {});
        const found = answer.ok ? Found.safeParse(answer.value) : null;
        if (wanted) setJobs(found?.success ? found.data.jobs.slice(0, MOST_JOBS) : []);
      };
      void ask();
    }, PAUSE_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [words]);
  return jobs;
}
