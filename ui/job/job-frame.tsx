"use client";

import { Keyboard } from "lucide-react";
import dynamic from "next/dynamic";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { useState, type ReactNode } from "react";
import { FindButton } from "@/ui/frame";
import { useIsPhone } from "@/ui/kit";
import { ThemeSwitch } from "@/ui/theme";
import { useJob } from "./job-context";
import { Notice } from "./notice";
import styles from "./job-frame.module.css";
import { Conflicts } from "./conflicts";
import { JobName } from "./job-name";
import { PLACES } from "./places";
import { useFindEntries } from "./use-find-entries";
import { SaveStateMark } from "./save-state-mark";
import { useJobShortcuts } from "./use-job-shortcuts";
import { jobWords } from "@/ui/words";

/** A list to choose from is much to load for a row of names that a wide window shows by itself. */
const PlaceChoice = dynamic(() => import("./place-choice").then((module) => module.PlaceChoice), { ssr: false });
const ShortcutSheet = dynamic(() => import("./shortcut-sheet").then((module) => module.ShortcutSheet), { ssr: false });

/** The one line on top of every place of a job, and the page below it. */
export function JobFrame({ children }: { children: ReactNode }) {
  const id = useJob((state) => state.id);
  const isPhone = useIsPhone();
  const [sheetOpen, setSheetOpen] = useState(false);
  useJobShortcuts(() => setSheetOpen(true));
  const findEntries = useFindEntries(() => setSheetOpen(true));
  return (
    <div className={styles.frame}>
      <header className={styles.top}>
        <JobName />
        <nav aria-label={jobWords.placesOfThisJob} className={styles.places}>
          {PLACES.map(({ phase, places }) => (
            <div key={phase} className={styles.phase}>
              {places.length > 1 ? <span className={styles.phaseName}>{phase}</span> : null}
              {places.map((place) => (
                <PlaceLink key={place.path} href={`/jobs/${id}/${place.path}`} name={place.name} />
              ))}
            </div>
          ))}
        </nav>
        {isPhone ? <PlaceChoice jobId={id} /> : null}
        <div className={styles.side}>
          <SaveStateMark />
          <FindButton entries={findEntries} />
          <ThemeSwitch />
          <button
            type="button"
            className={`${styles.plain} ${styles.keysButton}`}
            onClick={() => setSheetOpen(true)}
            aria-label={jobWords.keyboardShortcuts}
            title={jobWords.keyboardShortcutsWithKey}
          >
            <Keyboard size={18} aria-hidden />
          </button>
        </div>
      </header>
      <Notice in="frame" />
      <Conflicts />
      {children}
      {sheetOpen ? <ShortcutSheet open onClose={() => setSheetOpen(false)} /> : null}
    </div>
  );
}

function PlaceLink({ href, name }: { href: string; name: string }) {
  const here = usePathname().startsWith(href);
  return (
    <Link
      href={href}
      data-name={name}
      className={here ? styles.placeHere : styles.place}
      {...(here ? { "aria-current": "page" as const } : {})}
    >
      {name}
    </Link>
  );
}
