"use client";

import { Button, Drawer } from "antd";
import dayjs from "dayjs";
import { Undo2 } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { z } from "zod";
import { solve } from "@/core/chain";
import { Command, Job, stepsOf } from "@/core/job";
import { compareBoards, isAlike } from "@/core/plan";
import { deviceName, rowWords } from "@/core/text";
import { askServer, VerdictMark } from "@/ui/kit";
import { logWords } from "@/ui/words";
import { useIntents, useJob } from "./job-context";
import styles from "./log-drawer.module.css";
import { Notice } from "./notice";

const MOMENT = z.object({
  revision: z.number(),
  at: z.string(),
  kind: z.enum(["new", "import", "copy", "document", "commands"]),
  words: z.array(z.string()),
});
const Moments = z.object({ moments: z.array(MOMENT), total: z.number() });
const Then = z.object({ document: Job, back: Command.nullable(), from: z.number() });
type Moment = z.infer<typeof MOMENT>;
type JobThen = z.infer<typeof Then> & { readonly revision: number };

/** The log of the job as moments by the names of their edits: each can be looked at beside the job as it is, and gone back to. */
export function LogDrawer({ open, onClose }: { open: boolean; onClose: () => void }) {
  const id = useJob((state) => state.id);
  const revision = useJob((state) => state.revision);
  const [told, setTold] = useState<z.infer<typeof Moments> | string | null>(null);
  const [then, setThen] = useState<JobThen | null>(null);
  useEffect(() => {
    if (!open) return;
    let isStale = false;
    const ask = async () => {
      const answer = await askServer(`/api/jobs/${id}/log`, {});
      if (!isStale) setTold(answer.ok ? Moments.parse(answer.value) : answer.refusal);
    };
    void ask();
    return () => {
      isStale = true;
    };
  }, [id, open, revision]);
  const look = async (moment: Moment) => {
    const answer = await askServer(`/api/jobs/${id}/log/${moment.revision}`, {});
    if (answer.ok) setThen({ ...Then.parse(answer.value), revision: moment.revision });
    else setTold(answer.refusal);
  };
  return (
    <Drawer title={logWords.logOfTheJob} open={open} onClose={onClose} size={560} destroyOnHidden>
      <Notice in="dialog" />
      {told === null ? <p>{logWords.readingTheLog}</p> : null}
      {typeof told === "string" ? <p role="alert">{told}</p> : null}
      {told !== null && typeof told !== "string" ? (
        <>
          <p className={styles.quiet}>{logWords.everySave(told.total, told.moments.length)}</p>
          <ol className={styles.moments}>
            {told.moments.map((moment, index) => (
              <li key={moment.revision} className={styles.moment}>
                <time dateTime={moment.at}>{dayjs(moment.at).format("D MMM, HH:mm")}</time>
                <span dir="auto">{momentWords(moment)}</span>
                {index === 0 ? (
                  <span className={styles.quiet}>{logWords.now}</span>
                ) : (
                  <Button
                    size="small"
                    aria-pressed={then?.revision === moment.revision}
                    aria-label={logWords.lookAtMoment(momentWords(moment))}
                    onClick={() => void look(moment)}
                  >
                    {logWords.look}
                  </Button>
                )}
                {then?.revision === moment.revision ? <LookedAt then={then} onBack={onClose} /> : null}
              </li>
            ))}
          </ol>
        </>
      ) : null}
    </Drawer>
  );
}

const momentWords = ({ kind, words }: Moment): string => (kind === "commands" ? words.join("; ") : logWords.begunAs[kind]);

/** The job as it was then beside the job as it is, and the way back. */
function LookedAt({ then, onBack }: { then: JobThen; onBack: () => void }) {
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  const isKept = useJob((state) => state.revision === then.from && state.unsaved.length === 0);
  const { edit } = useIntents();
  const rows = useMemo(() => compareBoards(solve(then.document, "planned").rows, board).filter((row) => !isAlike(row)), [then, board]);
  const { devices, cables } = then.document;
  const { back } = then;
  return (
    <div className={styles.then}>
      <p>{logWords.thenAndNow(devices.length, cables.length, job.devices.length, job.cables.length)}</p>
      {rows.length === 0 ? <p className={styles.quiet}>{logWords.boardWasTheSame}</p> : null}
      <ul>
        {rows.map(({ id, left, right }) => {
          const any = left ?? right;
          return any ? (
            <li key={id}>
              <span dir="auto">{`${deviceName(left ? then.document : job, any.player)}, ${rowWords(any)}`}</span>
              <span>{left ? <VerdictMark row={left} /> : logWords.wasNotThere}</span>
              <span aria-hidden>→</span>
              <span>{right ? <VerdictMark row={right} /> : logWords.isNotThere}</span>
            </li>
          ) : null;
        })}
      </ul>
      {back ? (
        <Button
          icon={<Undo2 size={16} aria-hidden />}
          disabled={!isKept}
          onClick={() => {
            if (edit(back)) onBack();
          }}
        >
          {logWords.goBackTo(stepsOf(back).length)}
        </Button>
      ) : (
        <p className={styles.quiet}>{logWords.noWayBack}</p>
      )}
    </div>
  );
}
