import { LIP_SYNC } from "@/core/facts";
import { LIP_SYNC_WORDS } from "@/core/text";
import { formatMilliseconds } from "@/core/units";
import type { LipSyncJudgement } from "@/core/facts";
import styles from "./lip-sync-scale.module.css";
import { arrivalsWords } from "@/ui/words";

const FROM = -150;
const TO = 250;
const WIDTH = 300;
const x = (ms: number): number => ((Math.min(TO, Math.max(FROM, ms)) - FROM) / (TO - FROM)) * WIDTH;

const BANDS = [
  { ...LIP_SYNC.unacceptable, style: styles.outer, name: arrivalsWords.bt1359Bearable },
  { ...LIP_SYNC.noticeable, style: styles.middle, name: arrivalsWords.bt1359NotNoticed },
  { ...LIP_SYNC.target, style: styles.inner, name: arrivalsWords.r37Band },
] as const;

/** Where sound falls beside the picture, among the bounds of the two standards. */
export function LipSyncScale({ lipSyncMs, judgement }: { lipSyncMs: number; judgement: LipSyncJudgement }) {
  const beyond = lipSyncMs < FROM || lipSyncMs > TO;
  const time = formatMilliseconds(Math.abs(lipSyncMs));
  const words = lipSyncMs < 0 ? arrivalsWords.soundBeforePicture(time) : arrivalsWords.soundAfterPicture(time);
  return (
    <figure className={styles.scale}>
      <figcaption>
        {words}: {LIP_SYNC_WORDS[judgement]}.
      </figcaption>
      <svg
        viewBox={`-16 0 ${WIDTH + 32} 62`}
        role="img"
        aria-label={`${words}; ${BANDS.map(({ name, earlyMs, lateMs }) => arrivalsWords.bandBounds(name, earlyMs, lateMs)).join(", ")}`}
      >
        {BANDS.map(({ earlyMs, lateMs, style, name }, index) => (
          <rect
            key={name}
            className={style}
            x={x(earlyMs)}
            y={14 + index * 4}
            width={x(lateMs) - x(earlyMs)}
            height={22 - index * 8}
            rx={2}
          />
        ))}
        <line className={styles.zero} x1={x(0)} x2={x(0)} y1={10} y2={40} />
        {[
          LIP_SYNC.unacceptable.earlyMs,
          LIP_SYNC.target.earlyMs,
          0,
          LIP_SYNC.target.lateMs,
          LIP_SYNC.noticeable.lateMs,
          LIP_SYNC.unacceptable.lateMs,
        ].map((ms) => (
          <text key={ms} x={x(ms)} y={55}>
            {ms}
          </text>
        ))}
        <path className={styles.mark} d={`M${x(lipSyncMs)} 12l-6 -9h12z`} />
        {beyond ? (
          <text x={lipSyncMs < 0 ? 10 : WIDTH - 10} y={30}>
            {lipSyncMs < 0 ? "←" : "→"}
          </text>
        ) : null}
      </svg>
    </figure>
  );
}
