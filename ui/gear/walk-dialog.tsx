"use client";

import { Button, Modal } from "antd";
import { useState } from "react";
import { cableAt, findPort, joinSockets, whyNotPlug, type CableEnd, type Job } from "@/core/job";
import { walkOf } from "@/core/survey";
import { cableClassName, deviceName, refusalSentence, socketName } from "@/core/text";
import { PickList, type PickRow } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import { socketMarks } from "./socket-marks";
import styles from "./walk-dialog.module.css";

const NOTHING = "nothing";
const AS_WRITTEN = "as-written";
const PULL = "pull";

/** Writing down what is plugged where, socket by socket, without the mouse: a few letters of the other end, Enter, the next. */
export function WalkDialog({ onClose }: { onClose: () => void }) {
  const job = useJob((state) => state.job);
  const { edit, say } = useIntents();
  const [met, setMet] = useState<readonly string[]>([]);
  const stops = walkOf(job);
  const stop = stops.find(({ end }) => !met.includes(keyOf(end)));
  const goOn = (end: CableEnd) => setMet([...met, keyOf(end)]);
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
    <Modal title="What is plugged where" open onCancel={onClose} footer={null} width={680} destroyOnHidden>
      {stop ? (
        <div className={styles.walk}>
          <p className={styles.count}>
            {met.length} of {stops.length} sockets walked
          </p>
          <SocketHead job={job} end={stop.end} />
          <PickList
            key={keyOf(stop.end)}
            label={`What is plugged into ${socketName(job, stop.end)}`}
            listLabel="Other ends"
            placeholder="a few letters of the other end; Enter goes on"
            rows={rowsFor(job, stop.end)}
            nothing="No socket answers to that."
            onPick={(key) => pick(stop.end, key)}
          />
          <div className={styles.acts}>
            <Button onClick={back} disabled={met.length === 0}>
              One back
            </Button>
            <Button onClick={onClose}>Leave it here</Button>
          </div>
        </div>
      ) : (
        <Written job={job} onClose={onClose} />
      )}
    </Modal>
  );
}

const keyOf = (end: CableEnd): string => `${end.device} ${end.port}`;

function SocketHead({ job, end }: { job: Job; end: CableEnd }) {
  const port = findPort(job, end);
  return (
    <h3 className={styles.socket}>
      <span dir="auto">{deviceName(job, end.device)}</span>
      <code>{port?.label ?? end.port}</code>
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
      { key: AS_WRITTEN, name: `As written: ${socketName(job, other)}`, detail: cableClassName(cable.class) },
      { key: PULL, name: "Not so: pull it out", detail: "then choose what is really there" },
    ];
  }
  const others = job.devices.flatMap((device) =>
    device.ports
      .map((port) => ({ device: device.id, port: port.id }))
      .filter((other) => whyNotPlug(job, end, other) === null)
      .map((other): PickRow => ({ key: keyOf(other), name: socketName(job, other), detail: "" })),
  );
  return [{ key: NOTHING, name: "Nothing is plugged in", detail: "Enter goes on" }, ...others];
}

/** The list that comes of the walk. */
function Written({ job, onClose }: { job: Job; onClose: () => void }) {
  const lines = job.cables.map((cable) => `${socketName(job, cable.from)} → ${socketName(job, cable.to)}`);
  return (
    <div className={styles.walk}>
      <p>Every socket was walked. What is plugged where:</p>
      <ol className={styles.lines}>
        {lines.map((line) => (
          <li key={line} dir="auto">
            {line}
          </li>
        ))}
      </ol>
      <div className={styles.acts}>
        <Button onClick={() => void navigator.clipboard.writeText(lines.join("\n"))}>Copy as text</Button>
        <Button type="primary" autoFocus onClick={onClose}>
          Done
        </Button>
      </div>
    </div>
  );
}
