"use client";

import { Button } from "antd";
import { Pencil, Plus, Trash2 } from "lucide-react";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { useRef, useState, type ReactNode } from "react";
import {
  deviceFromParts,
  differencesFromArchetype,
  findArchetype,
  SHELF,
  type Archetype,
  type Device,
  type DeviceParts,
} from "@/core/device";
import type { KindHistory } from "@/core/handover";
import { writeShelfFile } from "@/core/job";
import type { Outcome } from "@/core/outcome";
import { differenceWords } from "@/core/text";
import { OutsideFrame } from "@/ui/frame";
import { DamagedRows, saveFile, SocketShape } from "@/ui/kit";
import { changeOnShelf, dropFromShelf, importShelf, keepOnShelf, type OwnDevice } from "./own-devices";
import { PartsForm } from "./parts-form";
import { Recurring } from "./recurring";
import styles from "./shelf.module.css";
import { shelfWords } from "@/ui/words";

const EditOwn = dynamic(() => import("./edit-own").then((module) => module.EditOwn), { ssr: false });

const LANES = [
  { role: "player", heading: shelfWords.players },
  { role: "box", heading: shelfWords.boxes },
  { role: "screen", heading: shelfWords.screens },
  { role: "sound", heading: shelfWords.soundSystems },
] as const;

/** Everything that can be put into a job: one's own devices first, then what ships. */
interface ShelfPlaceProps {
  own: readonly OwnDevice[];
  damaged: readonly { readonly id: string; readonly text: string }[];
  recurring: readonly KindHistory[];
}

export function ShelfPlace({ own, damaged, recurring }: ShelfPlaceProps) {
  const router = useRouter();
  const [making, setMaking] = useState(false);
  const [editing, setEditing] = useState<OwnDevice | null>(null);
  const [notice, setNotice] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const after = (outcome: Outcome<unknown, string>, then?: () => void) => {
    setNotice(outcome.ok ? null : outcome.refusal);
    if (!outcome.ok) return;
    then?.();
    router.refresh();
  };
  const keep = async (parts: DeviceParts) => after(await keepOnShelf(deviceFromParts(parts, "device")), () => setMaking(false));
  const takeFile = async (given: File | undefined) => {
    if (given) after(await importShelf(given));
  };
  return (
    <OutsideFrame
      acts={
        making ? null : (
          <>
            <input
              ref={file}
              type="file"
              accept=".json,application/json"
              hidden
              data-testid="shelf-file"
              onChange={(event) => void takeFile(event.target.files?.[0]).finally(() => (event.target.value = ""))}
            />
            <Button onClick={() => file.current?.click()}>{shelfWords.import}</Button>
            <Button
              disabled={own.length === 0}
              onClick={() => saveFile("shelf.octachord-shelf.json", "application/json", writeShelfFile(own.map(({ device }) => device)))}
            >
              {shelfWords.exportYourOwn}
            </Button>
            <Button type="primary" icon={<Plus size={16} aria-hidden />} onClick={() => setMaking(true)}>
              {shelfWords.makeADevice}
            </Button>
          </>
        )
      }
    >
      <main className={styles.body}>
        <p className={styles.quiet}>{shelfWords.kindsAndOwn(SHELF.length, own.length)}</p>
        <div aria-live="assertive">{notice ? <p className={styles.notice}>{notice}</p> : null}</div>
        {making ? <PartsForm onKeep={(parts) => void keep(parts)} onCancel={() => setMaking(false)} /> : null}
        <Recurring kinds={recurring} onKeep={(device) => void keepOnShelf(device).then((outcome) => after(outcome))} />
        <section aria-label={shelfWords.yourOwn}>
          <h2>{shelfWords.yourOwn}</h2>
          <DamagedRows rows={damaged} onDrop={(id) => void dropFromShelf(id).then((outcome) => after(outcome))} />
          {own.length === 0 ? (
            <p className={styles.quiet}>{shelfWords.noneYet}</p>
          ) : (
            <ul className={styles.rows}>
              {own.map((one) => (
                <Row key={one.id} device={one.device} summary={ownSummary(one.device)}>
                  <span>
                    <Button
                      type="text"
                      icon={<Pencil size={16} aria-hidden />}
                      aria-label={shelfWords.correct(one.device.name)}
                      title={shelfWords.correctIt}
                      onClick={() => setEditing(one)}
                    />
                    <Button
                      type="text"
                      icon={<Trash2 size={16} aria-hidden />}
                      aria-label={shelfWords.takeOffTheShelf(one.device.name)}
                      title={shelfWords.takeItOffTheShelf}
                      onClick={() => void dropFromShelf(one.id).then((outcome) => after(outcome))}
                    />
                  </span>
                </Row>
              ))}
            </ul>
          )}
        </section>
        {LANES.map(({ role, heading }) => (
          <section key={role} aria-label={heading}>
            <h2>{heading}</h2>
            <ul className={styles.rows}>
              {SHELF.filter((row) => row.role === role).map((row) => (
                <Row key={row.archetype} device={row} summary={row.summary} />
              ))}
            </ul>
          </section>
        ))}
      </main>
      {editing ? (
        <EditOwn
          key={editing.id}
          own={editing}
          onKeep={(device) => void changeOnShelf(editing.id, device).then((outcome) => after(outcome, () => setEditing(null)))}
          onLeave={() => setEditing(null)}
        />
      ) : null}
    </OutsideFrame>
  );
}

const ROLE_WORDS = { player: "player", box: "box", screen: "screen", sound: shelfWords.soundSystem } as const satisfies Record<
  Device["role"],
  string
>;

/** What a device of one's own is, where it came from and in what it differs from that. */
function ownSummary(device: Device): string {
  const model = device.archetype ? findArchetype(device.archetype) : undefined;
  const differences = differencesFromArchetype(device);
  const differs = differences && differenceWords(device, differences);
  return [
    model ? model.summary : ROLE_WORDS[device.role],
    ...(model ? [differs ? shelfWords.differsFromItsClass(differs) : shelfWords.justAsItsClass] : []),
    ...(device.edid ? [shelfWords.edidOfBytesRead(device.edid.length / 2)] : []),
  ].join(". ");
}

function Row({ device, summary, children }: { device: Pick<Archetype, "name" | "ports">; summary: string; children?: ReactNode }) {
  return (
    <li className={styles.row}>
      <span>
        <b dir="auto">{device.name}</b>
        <span className={styles.quiet}>{summary}</span>
      </span>
      <span className={styles.sockets}>
        {device.ports?.map((port) => (
          <span key={port.id} className={styles.socket}>
            <code>{port.label}</code>
            <SocketShape connector={port.connector} />
          </span>
        ))}
      </span>
      {children}
    </li>
  );
}
