"use client";

import { Button } from "antd";
import Link from "next/link";
import { findArchetype, fromShelfOrThrow, type Device, type Quirk } from "@/core/device";
import { quirkOf, type KindHistory } from "@/core/handover";
import { recurringSentence } from "@/core/text";
import { shelfWords } from "@/ui/words";
import styles from "./shelf.module.css";

interface RecurringProps {
  readonly kinds: readonly KindHistory[];
  readonly onKeep: (device: Device) => void;
}

/** A device of a class with one habit more, to be kept as one's own. */
function withHabit(archetype: string, quirk: Quirk): Device {
  const name = findArchetype(archetype)?.name ?? archetype;
  const device = fromShelfOrThrow(archetype, { id: "device", name: shelfWords.withHabit(name) });
  return { ...device, control: { ...device.control, quirks: [...new Set([...device.control.quirks, quirk])] } };
}

/** What several devices of one kind did wrong across the firm's jobs, with the jobs; a habit of the control bus can be taken over. */
export function Recurring({ kinds, onKeep }: RecurringProps) {
  if (kinds.length === 0) return null;
  return (
    <section aria-label={shelfWords.recurring}>
      <h2>{shelfWords.recurring}</h2>
      <ul className={styles.recurring}>
        {kinds.flatMap(({ archetype, devices, troubles }) =>
          troubles.map(({ trouble, devices: count, jobs }) => {
            const quirk = quirkOf(trouble);
            return (
              <li key={`${archetype} ${JSON.stringify(trouble)}`}>
                <b>{findArchetype(archetype)?.name ?? archetype}</b>
                <span>
                  {recurringSentence(trouble, count, devices)}{" "}
                  {jobs.map(({ id, name }, index) => (
                    <span key={id}>
                      {index ? ", " : ""}
                      <Link href={`/jobs/${id}/handover?view=visits`} dir="auto">
                        {name}
                      </Link>
                    </span>
                  ))}
                </span>
                {quirk ? (
                  <Button size="small" onClick={() => onKeep(withHabit(archetype, quirk))}>
                    {shelfWords.keepWithHabit}
                  </Button>
                ) : null}
              </li>
            );
          }),
        )}
      </ul>
    </section>
  );
}
