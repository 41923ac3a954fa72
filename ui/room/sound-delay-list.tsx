"use client";

import { Button } from "antd";
import { soundDelays } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Command } from "@/core/job";
import { socketPrint } from "@/core/text";
import { useJob } from "@/ui/job";
import { roomWords } from "@/ui/words";
import styles from "./sheets.module.css";

/** The sound delay that each input of a system wants, so that lips and voices meet. */
export function SoundDelayList({ device, onEdit }: { device: Device; onEdit: (command: Command) => void }) {
  const board = useJob((state) => state.board);
  const job = useJob((state) => state.job);
  const delays = soundDelays(device, board, "planned");
  if (!delays?.inputs.length) return null;
  const wanted = new Set(delays.inputs.map(({ setMs }) => setMs));
  const [only] = wanted;
  return (
    <section aria-label={roomWords.soundDelay}>
      <h4>{roomWords.soundDelay}</h4>
      <ul className={styles.lines}>
        {delays.inputs.map(({ port, nowMs, setMs, thenMs }) => (
          <li key={port}>
            <b>{socketPrint(job, { device: device.id, port })}</b> {roomWords.lipSyncNow(span(nowMs))}{" "}
            {setMs === delays.nowMs ? roomWords.delayStays(setMs) : roomWords.delayToSet(setMs, span(thenMs))}
          </li>
        ))}
      </ul>
      {wanted.size === 1 && only !== undefined && only !== delays.nowMs ? (
        <Button
          size="small"
          onClick={() => onEdit({ kind: "set-setting", device: device.id, setting: "sound-delay", state: "planned", value: String(only) })}
        >
          {roomWords.planDelay(only)}
        </Button>
      ) : null}
      {wanted.size > 1 ? <p className={styles.quiet}>{roomWords.delaysDiffer}</p> : null}
    </section>
  );
}

const span = ([low, high]: readonly [number, number]): string => {
  const [a, b] = [Math.round(low), Math.round(high)];
  const words = (ms: number) => (ms === 0 ? roomWords.inStep : roomWords.offBy(Math.abs(ms), ms > 0));
  return a === b ? words(a) : roomWords.fromTo(words(a), words(b));
};
