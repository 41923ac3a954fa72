"use client";

import dayjs from "dayjs";
import dynamic from "next/dynamic";
import Link from "next/link";
import type { ReactNode } from "react";
import type { FirmFigures } from "@/core/handover";
import { cureName, durationWords, FAULT_KIND_WORDS, LOSS_WORDS } from "@/core/text";
import { OutsideFrame } from "@/ui/frame";
import { EmptyPlace } from "@/ui/kit";
import { figuresWords } from "@/ui/words";
import type { BarRow } from "./bars";
import styles from "./figures.module.css";

const Bars = dynamic(() => import("./bars").then((module) => module.Bars), { ssr: false });

const sum = (figures: readonly number[]): number => figures.reduce((all, one) => all + one, 0);

/** What the firm's own jobs tell it: time, rows, proofs, losses, faults and cures. */
export function FiguresPlace({ figures }: { readonly figures: FirmFigures }) {
  const { visits, board, proof, losses, faults, cures } = figures;
  const minutes = visits.map(({ name, day, planned, taken }): BarRow => ({
    name: `${name}, ${dayjs(day).format("D MMM YYYY")}`,
    figures: [planned, taken],
  }));
  const isEmpty = [visits.length, board.jobs, proof.proven + proof.otherwise, losses.length, faults.length].every((count) => count === 0);
  return (
    <OutsideFrame>
      <main className={styles.figures} tabIndex={0}>
        <p className={styles.quiet}>{figuresWords.intro(figures.jobs)}</p>
        {isEmpty ? (
          <EmptyPlace heading={figuresWords.nothingYet} words={figuresWords.nothingYetWords}>
            <Link href="/">{figuresWords.toTheDocket}</Link>
          </EmptyPlace>
        ) : null}
        {isEmpty ? null : (
          <div className={styles.grid}>
            <Figure
              heading={figuresWords.minutes}
              words={figuresWords.visitsTotal(
                visits.length,
                durationWords(sum(visits.map(({ planned }) => planned))),
                durationWords(sum(visits.map(({ taken }) => taken))),
              )}
              isEmpty={visits.length === 0}
            >
              <Bars lines={[figuresWords.planned, figuresWords.taken]} rows={minutes} unit="min" />
            </Figure>
            <Figure
              heading={figuresWords.board}
              words={figuresWords.boardWords(board.jobs, board.rows, board.wholeFound, board.wholeLeft)}
              isEmpty={board.jobs === 0}
            >
              <Bars
                lines={[""]}
                rows={[
                  { name: figuresWords.asFound, figures: [board.wholeFound] },
                  { name: figuresWords.asLeft, figures: [board.wholeLeft] },
                ]}
                unit={figuresWords.rows}
              />
            </Figure>
            <Figure
              heading={figuresWords.proof}
              words={figuresWords.proofWords(proof.proven, proof.otherwise)}
              isEmpty={proof.proven + proof.otherwise === 0}
            >
              <Bars
                lines={[""]}
                rows={[
                  { name: figuresWords.asPredicted, figures: [proof.proven] },
                  { name: figuresWords.otherwise, figures: [proof.otherwise] },
                ]}
                unit={figuresWords.times}
              />
            </Figure>
            <Figure heading={figuresWords.losses} words={figuresWords.lossesWords} isEmpty={losses.length === 0}>
              <Bars
                lines={[""]}
                rows={losses.map(({ code, rows }) => ({ name: LOSS_WORDS[code], figures: [rows] }))}
                unit={figuresWords.rows}
              />
            </Figure>
            <Figure heading={figuresWords.faults} words="" isEmpty={faults.length === 0}>
              <Bars
                lines={[""]}
                rows={faults.map(({ fault, count }) => ({ name: FAULT_KIND_WORDS[fault], figures: [count] }))}
                unit={figuresWords.times}
              />
            </Figure>
            <Figure heading={figuresWords.cures} words="" isEmpty={cures.length === 0}>
              <Bars
                lines={[""]}
                rows={cures.map(({ cure, count }) => ({ name: cureName(cure), figures: [count] }))}
                unit={figuresWords.times}
              />
            </Figure>
          </div>
        )}
      </main>
    </OutsideFrame>
  );
}

interface FigureProps {
  readonly heading: string;
  readonly words: string;
  readonly isEmpty: boolean;
  readonly children: ReactNode;
}

/** One figure with its words; where nothing was counted yet it says so. */
function Figure({ heading, words, isEmpty, children }: FigureProps) {
  return (
    <section aria-label={heading}>
      <h2>{heading}</h2>
      {isEmpty ? (
        <p className={styles.quiet}>{figuresWords.none}</p>
      ) : (
        <>
          {words ? <p className={styles.quiet}>{words}</p> : null}
          {children}
        </>
      )}
    </section>
  );
}
