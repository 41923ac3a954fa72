"use client";

import { Slider } from "antd";
import { TUNABLE, TUNABLE_NAMES, type Weights } from "@/core/plan";
import { plansWords } from "@/ui/words";
import styles from "./plans.module.css";

/** What counts how much, each by itself: points for the whole of sound, picture and ease, points lost for money and work. */
export function FineTuning({ weights, onWeights }: { weights: Weights; onWeights: (weights: Weights) => void }) {
  return (
    <fieldset className={styles.tuning}>
      <legend className="for-ears-only">{plansWords.tuning}</legend>
      {TUNABLE_NAMES.map((name) => (
        <label key={name}>
          <span>{plansWords.weightNames[name]}</span>
          <Slider
            key={weights[name]}
            min={0}
            max={TUNABLE[name]}
            step={TUNABLE[name] > 50 ? 5 : 0.5}
            defaultValue={weights[name]}
            ariaLabelForHandle={plansWords.weightNames[name]}
            onChangeComplete={(value) => onWeights({ ...weights, [name]: value })}
          />
          <output>{weights[name]}</output>
        </label>
      ))}
    </fieldset>
  );
}
