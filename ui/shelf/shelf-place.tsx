"use client";

import { Button, Input } from "antd";
import { Plus, Search } from "lucide-react";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { deviceFromParts, SHELF, type DeviceParts } from "@/core/device";
import type { KindHistory } from "@/core/handover";
import { writeShelfFile } from "@/core/job";
import type { Outcome } from "@/core/outcome";
import { OutsideFrame } from "@/ui/frame";
import { DamagedRows, saveFile } from "@/ui/kit";
import { FoundOnShelf } from "./found-on-shelf";
import { changeOnShelf, dropFromShelf, importShelf, keepOnShelf, type OwnDevice } from "./own-devices";
import { PartsForm } from "./parts-form";
import { Recurring } from "./recurring";
import { KindRow, OwnRow, type OwnActs } from "./shelf-rows";
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
  const [words, setWords] = useState("");
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
  const acts: OwnActs = { onCorrect: setEditing, onDrop: ({ id }) => void dropFromShelf(id).then((outcome) => after(outcome)) };
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
        <p className={styles.find}>
          <Input
            allowClear
            prefix={<Search size={16} aria-hidden />}
            aria-label={shelfWords.find}
            placeholder={shelfWords.findPlaceholder}
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          <span className={styles.quiet}>{shelfWords.kindsAndOwn(SHELF.length, own.length)}</span>
        </p>
        <div aria-live="assertive">{notice ? <p className={styles.notice}>{notice}</p> : null}</div>
        {making ? <PartsForm onKeep={(parts) => void keep(parts)} onCancel={() => setMaking(false)} /> : null}
        {words.trim() ? (
          <FoundOnShelf words={words} own={own} acts={acts} />
        ) : (
          <>
            <Recurring kinds={recurring} onKeep={(device) => void keepOnShelf(device).then((outcome) => after(outcome))} />
            <section aria-label={shelfWords.yourOwn}>
              <h2>{shelfWords.yourOwn}</h2>
              <DamagedRows rows={damaged} onDrop={(id) => void dropFromShelf(id).then((outcome) => after(outcome))} />
              {own.length === 0 ? (
                <p className={styles.quiet}>{shelfWords.noneYet}</p>
              ) : (
                <ul className={styles.rows}>
                  {own.map((one) => (
                    <OwnRow key={one.id} own={one} acts={acts} />
                  ))}
                </ul>
              )}
            </section>
            {LANES.map(({ role, heading }) => (
              <section key={role} aria-label={heading}>
                <h2>{heading}</h2>
                <ul className={styles.rows}>
                  {SHELF.filter((row) => row.role === role).map((row) => (
                    <KindRow key={row.archetype} kind={row} />
                  ))}
                </ul>
              </section>
            ))}
          </>
        )}
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
