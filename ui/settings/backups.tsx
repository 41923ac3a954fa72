"use client";

import { Button } from "antd";
import dayjs from "dayjs";
import { Download, TriangleAlert } from "lucide-react";
import { formatMegabytes } from "@/core/text";
import { settingsWords } from "@/ui/words";
import { Everything } from "./everything";
import styles from "./settings.module.css";

/** What copies of the firm's data there are. */
export interface BackupsShown {
  readonly folder: string;
  readonly copies: readonly { readonly name: string; readonly bytes: number; readonly at: string }[];
  readonly lastWhole: { readonly at: string; readonly file: string } | null;
}

const DAY = "D MMM YYYY, HH:mm";
/** After so many days a backup off this machine is old. */
const OLD_AFTER_DAYS = 14;

/** The copies that this machine keeps by itself, and the one file that can be carried off it. */
export function Backups({ folder, copies, lastWhole }: BackupsShown) {
  const newest = copies.at(-1);
  const isOld = lastWhole === null || dayjs().diff(dayjs(lastWhole.at), "day") > OLD_AFTER_DAYS;
  return (
    <section aria-label={settingsWords.copies}>
      <h2>{settingsWords.copies}</h2>
      {isOld ? (
        <p className={styles.warning}>
          <TriangleAlert size={16} aria-hidden />
          {lastWhole === null ? settingsWords.noneOffThisMachine : settingsWords.oldOffThisMachine(dayjs(lastWhole.at).format(DAY))}
        </p>
      ) : (
        <p>{settingsWords.lastOffThisMachine(dayjs(lastWhole.at).format(DAY), lastWhole.file)}</p>
      )}
      <p className={styles.quiet}>
        {newest
          ? settingsWords.ownCopies(copies.length, dayjs(newest.at).format(DAY), formatMegabytes(newest.bytes), folder)
          : settingsWords.noOwnCopies(folder)}
      </p>
      <p>
        <Button href="/api/backup" icon={<Download size={16} aria-hidden />}>
          {settingsWords.makeBackup}
        </Button>
      </p>
      <Everything />
    </section>
  );
}
