"use client";

import { Button, Input, InputNumber } from "antd";
import { useState } from "react";
import { BED_IDS, CONNECTORS, PICTURE_MODES, type Connector } from "@/core/facts";
import { CONTENT_CATALOGUE, DeviceParts, ROLES } from "@/core/device";
import { masterWords, modeWords } from "@/core/text";
import { SoundsField } from "@/ui/device";
import { Choice } from "@/ui/kit";
import styles from "./shelf.module.css";

type Socket = DeviceParts["sockets"][number];

const ROLE_LABELS = { player: "plays something", box: "stands between", screen: "shows the picture", sound: "makes the sound" } as const;
const NEW_SOCKET: Socket = { label: "HDMI", connector: "hdmi", direction: "in", returns: "none", hdcp: "2.2", maxGbps: 18 };
const START: DeviceParts = {
  name: "",
  role: "sound",
  sockets: [{ ...NEW_SOCKET, label: "HDMI (TV ARC)", direction: "out", returns: "arc" }],
  sounds: [{ coding: "lpcm", channels: "2.0", objects: false }],
  speakers: { bed: "2.1", heights: 0 },
  display: null,
  contents: [],
};

/** A device from nothing: what is printed at its sockets, and what it knows. */
export function PartsForm({ onKeep, onCancel }: { onKeep: (parts: DeviceParts) => void; onCancel: () => void }) {
  const [parts, setParts] = useState(START);
  const [trouble, setTrouble] = useState<string | null>(null);
  const set = (change: Partial<DeviceParts>) => setParts({ ...parts, ...change });
  const keep = () => {
    const read = DeviceParts.safeParse(forRole(parts));
    if (read.success) return onKeep(read.data);
    const [issue] = read.error.issues;
    setTrouble(
      issue?.path[0] === "name"
        ? "Give the device a name, so that it can be found again."
        : issue?.path[0] === "sockets"
          ? "Each socket needs its printed words, and there must be at least one."
          : `Not kept: ${issue?.path.join(" ") ?? "the device"}: ${issue?.message ?? "not understood"}.`,
    );
  };
  return (
    <section className={styles.form} aria-label="A device from nothing">
      <h2>A device from nothing</h2>
      <div className={styles.pair}>
        <label>
          Name
          <Input value={parts.name} maxLength={300} autoFocus onChange={(event) => set({ name: event.target.value })} />
        </label>
        <label>
          What it does
          <Choice
            label="What it does"
            value={parts.role}
            options={ROLES.map((role) => ({ value: role, label: ROLE_LABELS[role] }))}
            onChange={(role) => set({ role })}
          />
        </label>
      </div>
      <SocketsField sockets={parts.sockets} onChange={(sockets) => set({ sockets })} />
      <SoundsField
        legend={parts.role === "player" ? "What it can send" : "What it decodes or takes"}
        sounds={parts.sounds}
        onChange={(sounds) => set({ sounds })}
      />
      <RoleFields parts={parts} set={set} />
      <div aria-live="assertive">{trouble ? <p className={styles.notice}>{trouble}</p> : null}</div>
      <div className={styles.acts}>
        <Button onClick={onCancel}>Leave it</Button>
        <Button type="primary" onClick={keep}>
          Keep on the shelf
        </Button>
      </div>
    </section>
  );
}

/** Only what belongs to the role goes with the device. */
const forRole = (parts: DeviceParts): DeviceParts => ({
  ...parts,
  speakers: parts.role === "sound" || parts.role === "screen" ? parts.speakers : null,
  display: parts.role === "screen" ? (parts.display ?? { maxMode: "3840x2160@60", hdr: [] }) : null,
  contents: parts.role === "player" ? parts.contents : [],
});

function SocketsField({ sockets, onChange }: { sockets: readonly Socket[]; onChange: (sockets: Socket[]) => void }) {
  const change = (at: number, fields: Partial<Socket>) =>
    onChange(sockets.map((row, index) => (index === at ? { ...row, ...fields } : row)));
  return (
    <fieldset className={styles.field}>
      <legend>Sockets, in their order on the back</legend>
      {sockets.map((socket, index) => (
        <div key={index} className={styles.socketRow}>
          <Input
            aria-label={`Print at socket ${index + 1}`}
            value={socket.label}
            maxLength={40}
            onChange={(event) => change(index, { label: event.target.value })}
          />
          <Choice
            label={`Kind of socket ${index + 1}`}
            value={socket.connector}
            options={CONNECTORS.map((row) => ({ value: row.id as Connector, label: row.name }))}
            onChange={(connector) => change(index, { connector })}
          />
          <Choice
            label={`Direction of socket ${index + 1}`}
            value={socket.direction}
            options={[
              { value: "in" as const, label: "in" },
              { value: "out" as const, label: "out" },
            ]}
            onChange={(direction) => change(index, { direction })}
          />
          {socket.connector === "hdmi" ? (
            <Choice
              label={`Return channel of socket ${index + 1}`}
              value={socket.returns ?? "unknown"}
              options={[
                { value: "none", label: "no return" },
                { value: "arc", label: "ARC" },
                { value: "earc", label: "eARC" },
                { value: "unknown", label: "return not known" },
              ]}
              onChange={(value) => change(index, { returns: value === "arc" || value === "earc" || value === "none" ? value : null })}
            />
          ) : (
            <span />
          )}
          <Button
            size="small"
            aria-label={`Leave socket ${index + 1} away`}
            onClick={() => onChange(sockets.filter((_, at) => at !== index))}
          >
            Leave away
          </Button>
        </div>
      ))}
      <Button size="small" onClick={() => onChange([...sockets, { ...NEW_SOCKET, label: `HDMI ${sockets.length + 1}` }])}>
        One more socket
      </Button>
    </fieldset>
  );
}

function RoleFields({ parts, set }: { parts: DeviceParts; set: (change: Partial<DeviceParts>) => void }) {
  const { role, speakers, display, contents } = parts;
  const bed = speakers?.bed ?? "2.0";
  return (
    <div className={styles.pair}>
      {role === "sound" || role === "screen" ? (
        <>
          <label>
            Speakers
            <Choice
              label="Speakers"
              value={speakers ? bed : "none"}
              options={[{ value: "none" as const, label: "none" }, ...BED_IDS.map((id) => ({ value: id, label: id }))]}
              onChange={(value) => set({ speakers: value === "none" ? null : { bed: value, heights: speakers?.heights ?? 0 } })}
            />
          </label>
          <label>
            Heights
            <InputNumber
              min={0}
              max={6}
              precision={0}
              value={speakers?.heights ?? 0}
              disabled={!speakers}
              onChange={(heights) => set({ speakers: { bed, heights: heights ?? 0 } })}
            />
          </label>
        </>
      ) : null}
      {role === "screen" ? (
        <label>
          Shows up to
          <Choice
            label="Shows up to"
            value={display?.maxMode ?? "3840x2160@60"}
            options={PICTURE_MODES.map((mode) => ({ value: mode, label: modeWords(mode) }))}
            onChange={(maxMode) => set({ display: { maxMode, hdr: display?.hdr ?? [] } })}
          />
        </label>
      ) : null}
      {role === "player" ? (
        <label>
          What it plays
          <Choice
            mode="multiple"
            label="What it plays"
            value={contents.map(({ id }) => id)}
            options={CONTENT_CATALOGUE.map((content) => ({ value: content.id, label: `${content.name}, ${masterWords({ content })}` }))}
            onChange={(ids: string[]) => set({ contents: CONTENT_CATALOGUE.filter(({ id }) => ids.includes(id)) })}
          />
        </label>
      ) : null}
    </div>
  );
}
