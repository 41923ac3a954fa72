"use client";

import { Button } from "antd";
import dayjs from "dayjs";
import { History } from "lucide-react";
import dynamic from "next/dynamic";
import { useState, useSyncExternalStore } from "react";
import type { SaveState } from "./job-store";
import { useIntents, useJob } from "./job-context";
import styles from "./job-frame.module.css";
import { jobWords } from "@/ui/words";

const LogDrawer = dynamic(() => import("./log-drawer").then((module) => module.LogDrawer), { ssr: false });

const never = () => () => undefined;

/** Says whether the job is kept. The time is of the reader's clock, so it appears only in the browser. */
export function SaveStateMark() {
  const save = useJob((state) => state.save);
  const keptAt = useJob((state) => state.keptAt);
  const { takeBack } = useIntents();
  // Null until it is asked for: the drawer is fetched then.
  const [logOpen, setLogOpen] = useState<boolean | null>(null);
  const inBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return (
    <span className={styles.keeping}>
      <button
        type="button"
        className={styles.plain}
        onClick={() => setLogOpen(true)}
        aria-label={jobWords.openTheLog}
        title={jobWords.openTheLog}
      >
        <History size={18} aria-hidden />
      </button>
      <span role="status" className={"why" in save ? styles.waiting : styles.saved} title={"why" in save ? save.why : undefined}>
        {wordsOf(save, inBrowser ? dayjs(keptAt).format("HH:mm") : null)}
      </span>
      {save.kind === "refused" ? (
        <Button size="small" onClick={() => takeBack()} title={save.why}>
          {jobWords.takeBackUnsaved}
        </Button>
      ) : null}
      {logOpen === null ? null : <LogDrawer open={logOpen} onClose={() => setLogOpen(false)} />}
    </span>
  );
}

function wordsOf(save: SaveState, keptAt: string | null): string {
  switch (save.kind) {
    case "saved":
      return keptAt === null ? "saved" : jobWords.saved(keptAt);
    case "saving":
      return jobWords.saving;
    case "away":
      return jobWords.notSavedYet;
    case "refused":
      return jobWords.notSaved;
  }
}
