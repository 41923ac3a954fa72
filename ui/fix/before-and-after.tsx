import dayjs from "dayjs";
import Link from "next/link";
import type { Walk } from "@/core/diagnose";
import { fixWords } from "@/ui/words";
import type { RoomInTrouble } from "@/workers/diagnose-worker";
import styles from "./fix.module.css";

interface BeforeAndAfterProps {
  readonly jobId: string;
  readonly room: RoomInTrouble;
  readonly earlier: readonly Walk[];
}

/** What the household can check before it calls, and what was searched here before. */
export function BeforeAndAfter({ jobId, room, earlier }: BeforeAndAfterProps) {
  const faultOf = (id: string | null | undefined) => (id ? (room.faults.find((fault) => fault.id === id)?.says ?? id) : fixWords.notFound);
  return (
    <>
      {earlier.length ? (
        <section aria-label={fixWords.earlier} className={styles.line}>
          <h3>{fixWords.earlier}</h3>
          <p>
            <Link href={`/jobs/${jobId}/prove`}>{fixWords.proveIt}</Link>
          </p>
          <ul>
            {earlier.map((one) => (
              <li key={one.id}>
                {fixWords.earlierLine(dayjs(one.startedAt).format("D MMM YYYY"), faultOf(one.end?.found), one.line.length)}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {room.household.length ? (
        <section aria-label={fixWords.household} className={styles.line}>
          <h3>{fixWords.household}</h3>
          <ol>
            {room.household.map((says) => (
              <li key={says}>{says}</li>
            ))}
          </ol>
        </section>
      ) : null}
    </>
  );
}
