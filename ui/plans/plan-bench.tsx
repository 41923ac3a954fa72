"use client";

import { useMemo } from "react";
import { arrivalsOf, type Arrival } from "@/core/chain";
import { failingActs, type WiringPlan } from "@/core/plan";
import { arrivalSentence, deviceName, rowWords } from "@/core/text";
import { CordThumbnail, VerdictShape } from "@/ui/kit";
import { plansWords } from "@/ui/words";
import { PlanMap } from "./plan-map";
import styles from "./bench.module.css";

/** A plan on the bench, with what is said over its column. */
export interface BenchColumn {
  readonly plan: WiringPlan;
  readonly heading: string;
  readonly words: string;
}

interface PlanBenchProps {
  readonly columns: readonly BenchColumn[];
  readonly system: string;
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
}

/** Two to four plans side by side: their figures as differences from the first, their scores with only what differs in ink. */
export function PlanBench({ columns, system, chosen, onChoose }: PlanBenchProps) {
  const plans = useMemo(() => columns.map(({ plan }) => plan), [columns]);
  const boards = useMemo(() => plans.map(({ job }) => arrivalsOf(job)), [plans]);
  const rows = rowsOf(boards);
  const [first] = plans;
  if (!first) return null;
  return (
    <table className={styles.bench}>
      <thead>
        <tr>
          <td />
          {columns.map(({ plan, heading, words }, index) => (
            <th key={keyOf(plan, index)} scope="col" className={index === chosen ? styles.chosen : undefined}>
              <button type="button" aria-pressed={index === chosen} data-school={plan.school} onClick={() => onChoose(index)}>
                <b>{heading}</b>
                <span>{words}</span>
              </button>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        <tr className={styles.maps}>
          <th scope="row">{plansWords.map}</th>
          {plans.map((plan, index) => (
            <td key={keyOf(plan, index)}>
              <PlanMap plan={plan} board={boards[index] ?? []} system={system} />
            </td>
          ))}
        </tr>
        {FIGURES.map(({ name, of, say }) => (
          <tr key={name} className={styles.figure}>
            <th scope="row">{name}</th>
            {plans.map((plan, index) => (
              <td key={keyOf(plan, index)} className={index > 0 && of(plan) === of(first) ? styles.alike : undefined}>
                {say(of(plan))}
              </td>
            ))}
          </tr>
        ))}
        {rows.map(({ key, row, isAlike }) => (
          <tr key={key}>
            <th scope="row" className={isAlike ? styles.alike : undefined}>
              <b dir="auto">{deviceName(first.job, row.player)}</b> <span>{rowWords(row)}</span>
            </th>
            {plans.map((plan, index) => {
              const arrival = cellOf(boards[index] ?? [], row);
              return (
                <td key={keyOf(plan, index)} className={isAlike ? styles.alike : undefined}>
                  {arrival ? (
                    <span className={styles.cell}>
                      <CordThumbnail arrival={arrival} label={arrivalSentence(plan.job, arrival)} width={104} height={28} />
                      <VerdictShape verdict={arrival.verdict} />
                    </span>
                  ) : (
                    plansWords.noRow
                  )}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const keyOf = ({ school }: WiringPlan, index: number): string => `${school} ${index}`;

const rounded = (value: number): string => String(Math.round(value));

const percent = (value: number): string => `${value}\u2009%`;

/** Figures that are compared, each with its unit. */
const FIGURES: readonly { readonly name: string; readonly of: (plan: WiringPlan) => number; readonly say: (value: number) => string }[] = [
  { name: plansWords.sound, of: ({ figures }) => Math.round(figures.sound * 100), say: percent },
  { name: plansWords.ease, of: ({ figures }) => Math.round(figures.ease * 100), say: percent },
  { name: plansWords.picture, of: ({ figures }) => Math.round(figures.picture * 100), say: percent },
  { name: plansWords.remotes, of: ({ figures }) => figures.remotes, say: String },
  { name: plansWords.failing, of: ({ figures }) => failingActs(figures.acts).length, say: String },
  { name: plansWords.money, of: ({ figures }) => figures.money + figures.guessed, say: rounded },
  { name: plansWords.work, of: ({ figures }) => Math.max(0, Math.round(figures.minutes)), say: plansWords.minutes },
  { name: plansWords.newCables, of: ({ figures }) => figures.newCables, say: String },
  { name: plansWords.boxes, of: ({ boxes }) => boxes.filter(({ isThere }) => !isThere).length, say: String },
];

const contentOf = ({ player, source, content }: Arrival): string => `${player}/${source}/${content.id}`;

/** What a board gives of a content on the screen of a row; undefined where it does not come to that screen. */
function cellOf(board: readonly Arrival[], row: Arrival): Arrival | undefined {
  const same = board.filter((one) => contentOf(one) === contentOf(row));
  return same.find(({ screen }) => screen === row.screen) ?? same.find(({ screen }) => screen === null);
}

/** Every content on every screen that any plan brings it to, with whether all plans give it alike; those that differ first. */
function rowsOf(boards: readonly (readonly Arrival[])[]) {
  const keyOf = (row: Arrival) => `${contentOf(row)}/${row.screen ?? ""}`;
  const shown = (row: Arrival) => row.screen !== null || boards.every((board) => cellOf(board, row)?.screen === null);
  const rows = new Map<string, Arrival>();
  for (const row of boards.flatMap((board) => board.filter(shown))) if (!rows.has(keyOf(row))) rows.set(keyOf(row), row);
  const all = [...rows].map(([key, row]) => {
    const words = boards.map((board) => {
      const one = cellOf(board, row);
      return one ? `${one.verdict} ${one.arrives?.coding} ${one.arrives?.channels} ${one.arrives?.objects}` : "";
    });
    return { key, row, isAlike: boards.length > 1 && words.every((one) => one === words[0]) };
  });
  return [...all.filter(({ isAlike }) => !isAlike), ...all.filter(({ isAlike }) => isAlike)];
}
