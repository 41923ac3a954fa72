"use client";

import { useEffect, useEffectEvent } from "react";
import { needleAt, ticksBetween } from "./needle-swing";

/** So far ahead ticks are handed to the sound card. */
const AHEAD_MS = 250;
const LEAD_MS = 500;

interface Needle {
  readonly isOn: boolean;
  /** By how much the tick is sent after the needle passes the middle; negative: before. */
  readonly shiftMs: number;
  readonly onSwing: (ms: number) => void;
}

/** Swings a needle with every picture and sends ticks by the clock of the sound card, so that the two leave this computer together. */
export function useNeedle({ isOn, shiftMs, onSwing }: Needle): void {
  const swing = useEffectEvent(onSwing);
  const shift = useEffectEvent(() => shiftMs);
  useEffect(() => {
    if (!isOn) return;
    const context = new AudioContext();
    const startsAt = context.currentTime + LEAD_MS / 1000;
    let sentUntil = -LEAD_MS;
    let frame = 0;
    const draw = () => {
      const ms = (heardNow(context) - startsAt) * 1000;
      swing(needleAt(ms));
      const until = ms + AHEAD_MS;
      for (const tick of ticksBetween(sentUntil, until, shift())) sound(context, startsAt + tick / 1000);
      sentUntil = Math.max(sentUntil, until);
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => {
      cancelAnimationFrame(frame);
      void context.close();
    };
  }, [isOn]);
}

/** The moment of the sound that leaves the sound card now, on the clock of the context. Source: Web Audio API, getOutputTimestamp. */
function heardNow(context: AudioContext): number {
  const { contextTime = 0, performanceTime = 0 } = context.getOutputTimestamp();
  return contextTime > 0 ? contextTime + (performance.now() - performanceTime) / 1000 : context.currentTime - (context.outputLatency || 0);
}

/** A click of two milliseconds. */
function sound(context: AudioContext, at: number): void {
  const tone = context.createOscillator();
  const gain = context.createGain();
  tone.type = "square";
  tone.frequency.value = 1500;
  gain.gain.setValueAtTime(0.4, Math.max(at, context.currentTime));
  tone.connect(gain).connect(context.destination);
  tone.start(Math.max(at, context.currentTime));
  tone.stop(Math.max(at, context.currentTime) + 0.002);
}
