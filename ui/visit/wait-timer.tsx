"use client";

import { Button } from "antd";
import { useEffect, useState } from "react";
import { visitWords } from "@/ui/words";
import styles from "./visit.module.css";

const TICK_MS = 500;

/** Counts a wait down by the clock, so that it goes on while the screen sleeps; it rings when it is over. */
export function WaitTimer({ minutes }: { minutes: number }) {
  const [until, setUntil] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const left = until === null ? null : Math.max(0, until - now);
  useEffect(() => {
    if (until === null) return;
    const timer = setInterval(() => {
      const time = Date.now();
      setNow(time);
      if (time < until) return;
      clearInterval(timer);
      ring();
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [until]);
  const start = () => {
    const time = Date.now();
    setNow(time);
    setUntil(time + minutes * 60_000);
  };
  return (
    <p className={styles.timer} role="timer">
      {left === null ? visitWords.thenWait(shown(minutes * 60_000)) : left > 0 ? visitWords.waiting(shown(left)) : visitWords.waited}
      <Button onClick={left === null || left === 0 ? start : () => setUntil(null)}>
        {left === null || left === 0 ? visitWords.startTimer : visitWords.stopTimer}
      </Button>
    </p>
  );
}

const shown = (ms: number): string => {
  const seconds = Math.ceil(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
};

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
