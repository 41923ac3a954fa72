"use client";

import { useCallback, useEffect, useState } from "react";
import { keepWaits, keptWaits, ringsBetween, withoutWait, withWait, type KeptWait } from "./waits-kept";

/** A wait that runs, or is over and not yet looked at. */
export interface Wait {
  readonly step: string;
  /** Milliseconds left, by the clock; 0: it is over. */
  readonly leftMs: number;
}

const TICK_MS = 500;

/** The waits of a visit. They go by the clock, so that they go on while the screen sleeps, and over a reload; each rings once when it is over. */
export function useWaits(job: string) {
  const [waits, setWaits] = useState<readonly KeptWait[]>([]);
  const [now, setNow] = useState(0);
  const keep = useCallback(
    (next: readonly KeptWait[]) => {
      setWaits(next);
      keepWaits(job, next);
    },
    [job],
  );
  useEffect(() => {
    // What is kept is known in the browser alone.
    const first = setTimeout(() => {
      setNow(Date.now());
      setWaits(keptWaits(job));
    }, 0);
    return () => clearTimeout(first);
  }, [job]);
  const running = waits.filter(({ until }) => until > now).length;
  useEffect(() => {
    if (running === 0) return;
    const timer = setInterval(() => {
      const time = Date.now();
      if (ringsBetween(waits, now, time)) ring();
      setNow(time);
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [running, waits, now]);
  const start = useCallback(
    (step: string, minutes: number) => {
      const time = Date.now();
      setNow(time);
      keep(withWait(keptWaits(job), step, minutes, time));
    },
    [job, keep],
  );
  const stop = useCallback((step: string) => keep(withoutWait(keptWaits(job), step)), [job, keep]);
  return { waits: waits.map(({ step, until }): Wait => ({ step, leftMs: Math.max(0, until - now) })), start, stop };
}

/** Two short tones and a buzz, where the device has them. */
function ring(): void {
  navigator.vibrate?.([200, 100, 200]);
  const context = new AudioContext();
  for (const at of [0, 0.35]) {
    const tone = context.createOscillator();
    const gain = context.createGain();
    tone.frequency.value = 880;
    gain.gain.setValueAtTime(0.2, context.currentTime + at);
    gain.gain.linearRampToValueAtTime(0, context.currentTime + at + 0.25);
    tone.connect(gain).connect(context.destination);
    tone.start(context.currentTime + at);
    tone.stop(context.currentTime + at + 0.26);
  }
  setTimeout(() => void context.close(), 1000);
}
