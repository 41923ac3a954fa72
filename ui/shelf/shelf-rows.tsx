"use client";

import { Button } from "antd";
import { Pencil, Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import { differencesFromArchetype, findArchetype, type Archetype, type Device } from "@/core/device";
import { differenceWords } from "@/core/text";
import { SocketShape } from "@/ui/kit";
import { shelfWords } from "@/ui/words";
import type { OwnDevice } from "./own-devices";
import styles from "./shelf.module.css";

/** What can be done with a device of one's own. */
export interface OwnActs {
  readonly onCorrect: (own: OwnDevice) => void;
  readonly onDrop: (own: OwnDevice) => void;
}

/** A kind of device that ships. */
export const KindRow = ({ kind }: { kind: Archetype }) => <Row device={kind} summary={kind.summary} />;

/** A device of one's own, with what can be done with it. */
export function OwnRow({ own, acts }: { own: OwnDevice; acts: OwnActs }) {
  const { device } = own;
  return (
    <Row device={device} summary={ownSummary(device)}>
      <span>
        <Button
          type="text"
          icon={<Pencil size={16} aria-hidden />}
          aria-label={shelfWords.correct(device.name)}
          title={shelfWords.correctIt}
          onClick={() => acts.onCorrect(own)}
        />
        <Button
          type="text"
          icon={<Trash2 size={16} aria-hidden />}
          aria-label={shelfWords.takeOffTheShelf(device.name)}
          title={shelfWords.takeItOffTheShelf}
          onClick={() => acts.onDrop(own)}
        />
      </span>
    </Row>
  );
}

const ROLE_WORDS = { player: "player", box: "box", screen: "screen", sound: shelfWords.soundSystem } as const satisfies Record<
  Device["role"],
  string
>;

/** What a device of one's own is, where it came from and in what it differs from that. */
export function ownSummary(device: Device): string {
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
