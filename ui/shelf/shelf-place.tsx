"use client";

import { Button } from "antd";
import { Plus, Trash2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { deviceFromParts, SHELF, type Archetype, type Device, type DeviceParts } from "@/core/device";
import { plural } from "@/core/text";
import { ThemeSwitch } from "@/ui/job";
import { SocketShape } from "@/ui/kit";
import { dropFromShelf, keepOnShelf, type OwnDevice } from "./own-devices";
import { PartsForm } from "./parts-form";
import styles from "./shelf.module.css";

const LANES = [
  { role: "player", heading: "Players" },
  { role: "box", heading: "Boxes" },
  { role: "screen", heading: "Screens" },
  { role: "sound", heading: "Sound systems" },
] as const;

/** Everything that can be put into a job: one's own devices first, then what ships. */
export function ShelfPlace({ own }: { own: readonly OwnDevice[] }) {
  const router = useRouter();
  const [making, setMaking] = useState(false);
  const [notice, setNotice] = useState<string | null>(null);
  const keep = async (parts: DeviceParts) => {
    const outcome = await keepOnShelf(deviceFromParts(parts, "device"));
    setNotice(outcome.ok ? null : outcome.refusal);
    if (!outcome.ok) return;
    setMaking(false);
    router.refresh();
  };
  const drop = async (id: string) => {
    const outcome = await dropFromShelf(id);
    setNotice(outcome.ok ? null : outcome.refusal);
    router.refresh();
  };
  return (
    <div className={styles.shelf}>
      <header className={styles.top}>
        <Link href="/">Docket</Link>
        <h1>Shelf</h1>
        <span className={styles.quiet}>
          {plural(SHELF.length, "kind")} of device, {plural(own.length, "device")} of your own
        </span>
        <div className={styles.acts}>
          {making ? null : (
            <Button type="primary" icon={<Plus size={16} aria-hidden />} onClick={() => setMaking(true)}>
              Make a device
            </Button>
          )}
          <ThemeSwitch />
        </div>
      </header>
      <div aria-live="assertive">{notice ? <p className={styles.notice}>{notice}</p> : null}</div>
      <main className={styles.body}>
        {making ? <PartsForm onKeep={(parts) => void keep(parts)} onCancel={() => setMaking(false)} /> : null}
        <section aria-label="Your own">
          <h2>Your own</h2>
          {own.length === 0 ? (
            <p className={styles.quiet}>
              None yet. Make one here from its sockets, or keep one of a job from its page on Gear; it can then be added to any job.
            </p>
          ) : (
            <ul className={styles.rows}>
              {own.map(({ id, device }) => (
                <Row key={id} device={device} summary={ROLE_WORDS[device.role]}>
                  <Button
                    type="text"
                    icon={<Trash2 size={16} aria-hidden />}
                    aria-label={`Take ${device.name} off the shelf`}
                    title="Take it off the shelf; jobs keep their own copy"
                    onClick={() => void drop(id)}
                  />
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
    </div>
  );
}

const ROLE_WORDS = { player: "player", box: "box", screen: "screen", sound: "sound system" } as const satisfies Record<
  Device["role"],
  string
>;

function Row({ device, summary, children }: { device: Pick<Archetype, "name" | "ports">; summary: string; children?: React.ReactNode }) {
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
