"use client";

import { Button, Modal } from "antd";
import { useState } from "react";
import { cableAt, endKey, findPort, joinSockets, whyNotPlug, type CableEnd, type Job } from "@/core/job";
import { walkOf } from "@/core/survey";
import { cableClassName, deviceName, refusalSentence, socketName } from "@/core/text";
import { copyText, PickList, type PickRow } from "@/ui/kit";
import { Notice, useIntents, useJob } from "@/ui/job";
import { socketMarks } from "./socket-marks";
import styles from "./walk-dialog.module.css";
import { gearWords, kitWords } from "@/ui/words";

const NOTHING = "nothing";
const AS_WRITTEN = "as-written";
const PULL = "pull";

/** Writing down what is plugged where, socket by socket, without the mouse: a few letters of the other end, Enter, the next. */
export function WalkDialog({ onClose }: { onClose: () => void }) {
  const job = useJob((state) => state.job);
  const { edit, say } = useIntents();
  const [met, setMet] = useState<readonly string[]>([]);
  const stops = walkOf(job);
  const stop = stops.find(({ end }) => !met.includes(endKey(end)));
  const goOn = (end: CableEnd) => setMet([...met, endKey(end)]);
  const back = () => setMet(met.slice(0, -1));
  const pick = (end: CableEnd, key: string) => {
    if (key === NOTHING || key === AS_WRITTEN) return goOn(end);
    if (key === PULL) {
      const cable = cableAt(job, end);
      if (cable) edit({ kind: "unplug", cable: cable.id });
      return;
    }
    const [device = "", port = ""] = key.split(" ");
    const refusal = whyNotPlug(job, end, { device, port });
    if (refusal) say(refusalSentence(job, refusal));
    else if (edit(joinSockets(job, end, { device, port }))) goOn(end);
  };
  return (
    <Modal title={gearWords.whatIsPluggedWhere} open onCancel={onClose} footer={null} width={680} destroyOnHidden>
      <Notice in="dialog" />
      {stop ? (
        <div className={styles.walk}>
          <p className={styles.count}>{gearWords.socketsWalked(met.length, stops.length)}</p>
          <SocketHead job={job} end={stop.end} />
          <PickList
            key={endKey(stop.end)}
            label={gearWords.whatIsPluggedInto(socketName(job, stop.end))}
            listLabel={gearWords.otherEnds}
            placeholder={gearWords.walkPlaceholder}
            rows={rowsFor(job, stop.end)}
            nothing={gearWords.noSocketAnswersToThat}
            onPick={(key) => pick(stop.end, key)}
          />
          <div className={styles.acts}>
            <Button onClick={back} disabled={met.length === 0}>
              {gearWords.oneBack}
            </Button>
            <Button onClick={onClose}>{gearWords.leaveItHere}</Button>
          </div>
        </div>
      ) : (
        <Written job={job} onClose={onClose} />
      )}
    </Modal>
  );
}

function SocketHead({ job, end }: { job: Job; end: CableEnd }) {
  const port = findPort(job, end);
  return (
    <h3 className={styles.socket}>
      <span dir="auto">{deviceName(job, end.device)}</span> <code>{port?.label ?? end.port}</code>{" "}
      <span className={styles.marks}>{port ? socketMarks(port).join(" · ") : ""}</span>
    </h3>
  );
}

/** Nothing, or what is written already, first: Enter alone goes on. Then every socket that could be the other end. */
function rowsFor(job: Job, end: CableEnd): readonly PickRow[] {
  const cable = cableAt(job, end);
  if (cable) {
    const other = cable.from.device === end.device && cable.from.port === end.port ? cable.to : cable.from;
    return [
      { key: AS_WRITTEN, name: gearWords.asWritten(socketName(job, other)), detail: cableClassName(cable.class) },
      { key: PULL, name: gearWords.notSoPullItOut, detail: gearWords.thenChoose },
    ];
  }
  const others = job.devices.flatMap((device) =>
    device.ports
      .map((port) => ({ device: device.id, port: port.id }))
      .filter((other) => whyNotPlug(job, end, other) === null)
      .map((other): PickRow => ({ key: endKey(other), name: socketName(job, other), detail: "" })),
  );
  return [{ key: NOTHING, name: gearWords.nothingIsPluggedIn, detail: gearWords.enterGoesOn }, ...others];
}

/** The list that comes of the walk. */
function Written({ job, onClose }: { job: Job; onClose: () => void }) {
  const { say } = useIntents();
  const lines = job.cables.map((cable) => `${socketName(job, cable.from)} → ${socketName(job, cable.to)}`);
  const copy = () => void copyText(lines.join("\n")).then((isDone) => say(isDone ? gearWords.listCopied : kitWords.notCopied));
  return (
    <div className={styles.walk}>
      <p>{gearWords.everySocketWalked}</p>
      <ol className={styles.lines}>
        {lines.map((line) => (
          <li key={line} dir="auto">
            {line}
          </li>
        ))}
      </ol>
      <div className={styles.acts}>
        <Button onClick={copy}>{gearWords.copyAsText}</Button>
        <Button type="primary" autoFocus onClick={onClose}>
          {gearWords.done}
        </Button>
      </div>
    </div>
  );
}
