"use client";

import { Button } from "antd";
import { useMemo } from "react";
import type { Job } from "@/core/job";
import { STUDS_MM, wireTotals, type RoomAnswer } from "@/core/room";
import { chargeSentence, loadSentence, mountingSentence, pairingStepWords, reachSentence, upperFirst, wireSentence } from "@/core/text";
import { formatLength } from "@/core/units";
import { usePreferences } from "@/ui/preferences";
import { useStock } from "@/ui/stock";
import { roomWords } from "@/ui/words";
import styles from "./sheets.module.css";

/** Wire, load, fixings, templates to drill by, and the order of pairing. */
export function WireView({ job, jobId, answer }: { job: Job; jobId: string; answer: RoomAnswer }) {
  const { units } = usePreferences();
  const drilled = answer.scene.units.filter(({ unit }) => unit.holes.length);
  const total = answer.wire.reduce((sum, { lengthM }) => sum + lengthM, 0);
  const stock = useStock();
  const totals = useMemo(() => {
    const reels = (stock?.items ?? []).flatMap(({ what, count }) =>
      what.kind === "wire" ? [{ mm2: what.mm2, metres: what.lengthM * count }] : [],
    );
    return wireTotals(answer.wire, reels);
  }, [answer, stock]);
  const pairing = answer.systems.flatMap(({ pairing: steps }) => steps);
  return (
    <div className={styles.sheets}>
      <Part heading={roomWords.wire} none={roomWords.noWire} lines={answer.wire.map((run) => wireSentence(run, units))}>
        {answer.wire.length ? (
          <p>
            {roomWords.wireTotal(formatLength(total, units))}{" "}
            {stock
              ? totals
                  .map(({ mm2, needM, haveM }) =>
                    roomWords.wireInVan(mm2, formatLength(needM, units), formatLength(haveM, units), haveM >= needM),
                  )
                  .join(" ")
              : ""}
          </p>
        ) : null}
      </Part>
      <Part heading={roomWords.load} none={roomWords.noLoad} lines={answer.loads.map((load) => loadSentence(job, load))} />
      <Part heading={roomWords.leads} none={roomWords.allReach} lines={answer.reach.map((fault) => reachSentence(job, fault, units))} />
      <Part heading={roomWords.fixings} none={roomWords.noFixings} lines={answer.mounting.map(mountingSentence)}>
        <p className={styles.caution}>
          {roomWords.mountingCaution} {roomWords.studs(...STUDS_MM[units])}
        </p>
      </Part>
      <section aria-label={roomWords.templates}>
        <h4>{roomWords.templates}</h4>
        {drilled.length ? (
          <ul className={styles.steps}>
            {drilled.map(({ device, unit }) => (
              <li key={`${device.id} ${unit.id}`}>
                <span>{upperFirst(unit.name)}</span>
                {(["a4", "letter"] as const).map((paper) => (
                  <Button key={paper} size="small" download href={templateHref(jobId, device.id, unit.id, `pdf&paper=${paper}`)}>
                    {roomWords.pdfOn[paper]}
                  </Button>
                ))}
                <Button size="small" download href={templateHref(jobId, device.id, unit.id, "svg")}>
                  {roomWords.asSvg}
                </Button>
              </li>
            ))}
          </ul>
        ) : (
          <p className={styles.quiet}>{roomWords.noHoles}</p>
        )}
      </section>
      <Part
        heading={roomWords.wirelessOrder}
        none={roomWords.noWireless}
        lines={pairing.map((step) => pairingStepWords(job, step))}
        ordered
      />
      {answer.charging.length ? <Part heading={roomWords.charging} none="" lines={answer.charging.map(chargeSentence)} /> : null}
    </div>
  );
}

const templateHref = (jobId: string, device: string, unit: string, as: string): string =>
  `/api/jobs/${jobId}/template?unit=${device}/${unit}&as=${as}`;

function Part({
  heading,
  none,
  lines,
  ordered = false,
  children,
}: {
  heading: string;
  none: string;
  lines: readonly string[];
  ordered?: boolean;
  children?: React.ReactNode;
}) {
  const rows = lines.map((line) => <li key={line}>{line}</li>);
  return (
    <section aria-label={heading}>
      <h4>{heading}</h4>
      {lines.length === 0 ? (
        <p className={styles.quiet}>{none}</p>
      ) : ordered ? (
        <ol className={styles.steps}>{rows}</ol>
      ) : (
        <ul className={styles.lines}>{rows}</ul>
      )}
      {children}
    </section>
  );
}
