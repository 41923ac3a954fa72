"use client";

import { Button, Slider } from "antd";
import { Maximize2, Play, Square } from "lucide-react";
import { useRef, useState } from "react";
import { formatMilliseconds } from "@/core/units";
import { OutsideFrame } from "@/ui/frame";
import { needleWords } from "@/ui/words";
import styles from "./needle.module.css";
import { useNeedle } from "./use-needle";
import { NEEDLE_SPAN_MS } from "./needle-swing";

const MARKS = Array.from({ length: 9 }, (_, index) => -NEEDLE_SPAN_MS + index * (NEEDLE_SPAN_MS / 4));
/** The needle leans this far at either end of its scale. */
const LEAN_DEG = 60;
const angleOf = (ms: number): number => (ms / NEEDLE_SPAN_MS) * LEAN_DEG;

/** A needle that swings and a tick that sounds as it passes the middle: where it is when the tick is heard is how far sound and picture part. */
export function NeedlePlace() {
  const [shift, setShift] = useState(0);
  const [isOn, setOn] = useState(false);
  const needle = useRef<SVGGElement>(null);
  const page = useRef<HTMLDivElement>(null);
  useNeedle({ isOn, shiftMs: shift, onSwing: (ms) => needle.current?.setAttribute("transform", `rotate(${angleOf(ms)} 400 420)`) });
  return (
    <OutsideFrame>
      <main className={styles.needle} ref={page}>
        <h1>{needleWords.title}</h1>
        <p>{needleWords.how}</p>
        <svg viewBox="0 0 800 450" role="img" aria-label={needleWords.scale}>
          {MARKS.map((ms) => (
            <g key={ms} transform={`rotate(${angleOf(ms)} 400 420)`}>
              <line x1="400" x2="400" y1="60" y2={ms === 0 ? 100 : 84} className={ms === 0 ? styles.middle : styles.mark} />
              <text x="400" y="44" textAnchor="middle">
                {ms > 0 ? `+${ms}` : ms}
              </text>
            </g>
          ))}
          <g ref={needle} className={styles.hand}>
            <line x1="400" x2="400" y1="96" y2="420" />
            <circle cx="400" cy="420" r="12" />
          </g>
        </svg>
        <p className={styles.ways}>
          <Button
            type="primary"
            icon={isOn ? <Square size={18} aria-hidden /> : <Play size={18} aria-hidden />}
            onClick={() => setOn(!isOn)}
          >
            {isOn ? needleWords.stop : needleWords.start}
          </Button>
          <Button icon={<Maximize2 size={18} aria-hidden />} onClick={() => void page.current?.requestFullscreen()}>
            {needleWords.fullScreen}
          </Button>
        </p>
        <label className={styles.shift}>
          {needleWords.shift}
          <Slider
            min={-NEEDLE_SPAN_MS}
            max={NEEDLE_SPAN_MS}
            step={5}
            value={shift}
            onChange={setShift}
            ariaLabelForHandle={needleWords.shift}
          />
          <b>
            {shift === 0
              ? needleWords.together
              : shift < 0
                ? needleWords.late(formatMilliseconds(-shift))
                : needleWords.early(formatMilliseconds(shift))}
          </b>
        </label>
        <p className={styles.quiet}>{needleWords.caution}</p>
      </main>
    </OutsideFrame>
  );
}
