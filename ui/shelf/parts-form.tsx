"use client";

import { Button, Input, InputNumber } from "antd";
import { useState } from "react";
import { BED_IDS, CONNECTORS, PICTURE_MODES, type Connector } from "@/core/facts";
import { CONTENT_CATALOGUE, DeviceParts, ROLES } from "@/core/device";
import { masterWords, modeWords } from "@/core/text";
import { SoundsField } from "@/ui/device";
import { Choice } from "@/ui/kit";
import styles from "./shelf.module.css";
import { shelfWords } from "@/ui/words";

type Socket = DeviceParts["sockets"][number];

const ROLE_LABELS = {
  player: shelfWords.playsSomething,
  box: shelfWords.standsBetween,
  screen: shelfWords.showsThePicture,
  sound: shelfWords.makesTheSound,
} as const;
const NEW_SOCKET: Socket = { label: "HDMI", connector: "hdmi", direction: "in", returns: "none", hdcp: "2.2", maxGbps: 18 };
const START: DeviceParts = {
  name: "",
  role: "sound",
  sockets: [{ ...NEW_SOCKET, label: shelfWords.hdmiTvArc, direction: "out", returns: "arc" }],
  sounds: [{ coding: "lpcm", channels: "2.0", objects: false }],
  speakers: { bed: "2.1", heights: 0 },
  display: null,
  contents: [],
};

/** A device from scratch: what is printed at its sockets, and what it knows. */
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
        ? shelfWords.nameNeeded
        : issue?.path[0] === "sockets"
          ? shelfWords.socketsNeedPrint
          : shelfWords.notKept(issue?.path.join(" ") ?? shelfWords.theDevice, issue?.message ?? shelfWords.notUnderstood),
    );
  };
  return (
    <section className={styles.form} aria-label={shelfWords.aDeviceFromNothing}>
      <h2>{shelfWords.aDeviceFromNothing}</h2>
      <div className={styles.pair}>
        <label>
          {shelfWords.name}
          <Input value={parts.name} maxLength={300} autoFocus onChange={(event) => set({ name: event.target.value })} />
        </label>
        <label>
          {shelfWords.whatItDoes}
          <Choice
            label={shelfWords.whatItDoes}
            value={parts.role}
            options={ROLES.map((role) => ({ value: role, label: ROLE_LABELS[role] }))}
            onChange={(role) => set({ role })}
          />
        </label>
      </div>
      <SocketsField sockets={parts.sockets} onChange={(sockets) => set({ sockets })} />
      <SoundsField
        legend={parts.role === "player" ? shelfWords.whatItCanSend : shelfWords.whatItDecodesOrTakes}
        sounds={parts.sounds}
        onChange={(sounds) => set({ sounds })}
      />
      <RoleFields parts={parts} set={set} />
      <div aria-live="assertive">{trouble ? <p className={styles.notice}>{trouble}</p> : null}</div>
      <div className={styles.acts}>
        <Button onClick={onCancel}>{shelfWords.leaveIt}</Button>
        <Button type="primary" onClick={keep}>
          {shelfWords.keepOnTheShelf}
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
      <legend>{shelfWords.socketsInOrder}</legend>
      {sockets.map((socket, index) => (
        <div key={index} className={styles.socketRow}>
          <Input
            aria-label={shelfWords.printAtSocket(index + 1)}
            value={socket.label}
            maxLength={40}
            onChange={(event) => change(index, { label: event.target.value })}
          />
          <Choice
            label={shelfWords.kindOfSocket(index + 1)}
            value={socket.connector}
            options={CONNECTORS.map((row) => ({ value: row.id as Connector, label: row.name }))}
            onChange={(connector) => change(index, { connector })}
          />
          <Choice
            label={shelfWords.directionOfSocket(index + 1)}
            value={socket.direction}
            options={[
              { value: "in" as const, label: shelfWords.input },
              { value: "out" as const, label: shelfWords.output },
            ]}
            onChange={(direction) => change(index, { direction })}
          />
          {socket.connector === "hdmi" ? (
            <Choice
              label={shelfWords.returnChannelOfSocket(index + 1)}
              value={socket.returns ?? "unknown"}
              options={[
                { value: "none", label: shelfWords.noReturn },
                { value: "arc", label: shelfWords.arc },
                { value: "earc", label: shelfWords.earc },
                { value: "unknown", label: shelfWords.returnNotKnown },
              ]}
              onChange={(value) => change(index, { returns: value === "arc" || value === "earc" || value === "none" ? value : null })}
            />
          ) : (
            <span />
          )}
          <Button
            size="small"
            aria-label={shelfWords.leaveSocketAway(index + 1)}
            onClick={() => onChange(sockets.filter((_, at) => at !== index))}
          >
            {shelfWords.leaveAway}
          </Button>
        </div>
      ))}
      <Button size="small" onClick={() => onChange([...sockets, { ...NEW_SOCKET, label: shelfWords.hdmiNumber(sockets.length + 1) }])}>
        {shelfWords.oneMoreSocket}
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
            {shelfWords.speakers}
            <Choice
              label={shelfWords.speakers}
              value={speakers ? bed : "none"}
              options={[{ value: "none" as const, label: shelfWords.none }, ...BED_IDS.map((id) => ({ value: id, label: id }))]}
              onChange={(value) => set({ speakers: value === "none" ? null : { bed: value, heights: speakers?.heights ?? 0 } })}
            />
          </label>
          <label>
            {shelfWords.heights}
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
          {shelfWords.showsUpTo}
          <Choice
            label={shelfWords.showsUpTo}
            value={display?.maxMode ?? "3840x2160@60"}
            options={PICTURE_MODES.map((mode) => ({ value: mode, label: modeWords(mode) }))}
            onChange={(maxMode) => set({ display: { maxMode, hdr: display?.hdr ?? [] } })}
          />
        </label>
      ) : null}
      {role === "player" ? (
        <label>
          {shelfWords.whatItPlays}
          <Choice
            mode="multiple"
            label={shelfWords.whatItPlays}
            value={contents.map(({ id }) => id)}
            options={CONTENT_CATALOGUE.map((content) => ({ value: content.id, label: `${content.name}, ${masterWords({ content })}` }))}
            onChange={(ids: string[]) => set({ contents: CONTENT_CATALOGUE.filter(({ id }) => ids.includes(id)) })}
          />
        </label>
      ) : null}
    </div>
  );
}
