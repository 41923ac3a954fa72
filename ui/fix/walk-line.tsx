import { Button } from "antd";
import dayjs from "dayjs";
import type { Walk } from "@/core/diagnose";
import { durationWords, takenSentence, upperFirst } from "@/core/text";
import { printPage } from "@/ui/kit";
import { fixWords } from "@/ui/words";
import type { RoomInTrouble } from "@/workers/diagnose-worker";
import styles from "./fix.module.css";
import { walkPage } from "./print-walk";

interface WalkLineProps {
  readonly job: string;
  readonly walk: Walk;
  /** Null while the faults are being played: the checks have no words yet. */
  readonly room: RoomInTrouble | null;
  readonly told: string;
}

/** What was done so far, each check with its answer, to read and to print. */
export function WalkLine({ job, walk, room, told }: WalkLineProps) {
  const lines = walk.line.map((one) => ({ key: `${one.check} ${one.at}`, words: lineWords(room, one) }));
  const title = fixWords.printTitle(job, dayjs(walk.startedAt).format("D MMM YYYY"));
  return (
    <section aria-label={fixWords.line} className={`${styles.line} ${styles.walked}`}>
      <h3>{fixWords.line}</h3>
      <ol>
        {lines.map(({ key, words }) => (
          <li key={key}>{words}</li>
        ))}
      </ol>
      <Button onClick={() => printPage(walkPage({ title, told, lines: lines.map(({ words }) => words) }))}>{fixWords.print}</Button>
    </section>
  );
}

function lineWords(room: RoomInTrouble | null, { check, answer, minutes, note }: Walk["line"][number]): string {
  const found = room?.checks.find(({ id }) => id === check);
  const says = found?.answers.find((one) => one.answer === answer)?.says ?? answer;
  return [
    takenSentence(upperFirst(found?.says ?? check), says),
    ...(minutes ? [`(${durationWords(minutes)})`] : []),
    ...(note ? [`– ${note}`] : []),
  ].join(" ");
}
