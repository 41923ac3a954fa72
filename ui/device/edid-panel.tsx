"use client";

import { Button, Input } from "antd";
import { useRef, useState } from "react";
import { bytesOfHex, edidBytesOf, edidReport, readEdid, type Edid, type EdidReport } from "@/core/edid";
import type { Device } from "@/core/device";
import type { Command } from "@/core/job";
import { edidAgainstDevice, takeOverEdid } from "@/core/survey";
import { edidWords, listedDifferenceWords } from "@/core/text";
import styles from "./device.module.css";
import { deviceWords } from "@/ui/words";

interface Read {
  readonly edid: Edid;
  readonly report: EdidReport;
}

const MOST_BYTES = 256 * 128;

/** What a display really lists, from a file or pasted digits, beside what the job knows of it; to be taken over. */
export function EdidPanel({ device, onEdit }: { device: Device; onEdit: (command: Command) => void }) {
  const [read, setRead] = useState<Read | null>(() => (device.edid ? readBytes(bytesOfHex(device.edid).bytes) : null));
  const [trouble, setTrouble] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const take = (bytes: Uint8Array) => {
    if (bytes.length > MOST_BYTES) return setTrouble(deviceWords.edidTooLong(MOST_BYTES, bytes.length));
    const { bytes: raw } = edidBytesOf(bytes);
    const found = raw.length >= 128 ? readBytes(raw) : null;
    setRead(found);
    setTrouble(found ? null : deviceWords.edidTooShort(raw.length));
  };
  const takeFile = async (given: File | undefined) => {
    if (given && given.size > MOST_BYTES * 8) return setTrouble(deviceWords.fileTooLarge(given.name));
    if (given) take(new Uint8Array(await given.arrayBuffer()));
  };
  const differences = read ? edidAgainstDevice(device, read.edid) : [];
  return (
    <div
      className={styles.edid}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        event.stopPropagation();
        void takeFile(event.dataTransfer.files[0]);
      }}
    >
      <div className={styles.drop}>
        <p className={styles.quiet}>{deviceWords.dropAnEdid}</p>
        <Input.TextArea
          aria-label={deviceWords.edidAsHex(device.name)}
          autoSize={{ minRows: 2, maxRows: 4 }}
          maxLength={200_000}
          placeholder="00 FF FF FF FF FF FF 00 …"
          onChange={(event) => event.target.value.trim() && take(new TextEncoder().encode(event.target.value))}
        />
        <input
          ref={file}
          type="file"
          hidden
          data-testid="edid-file"
          onChange={(event) => void takeFile(event.target.files?.[0]).finally(() => (event.target.value = ""))}
        />
        <Button size="small" onClick={() => file.current?.click()}>
          {deviceWords.chooseAFile}
        </Button>
      </div>
      <p aria-live="assertive" className={styles.trouble}>
        {trouble}
      </p>
      {read ? (
        <>
          <section aria-label={deviceWords.whatTheEdidSays}>
            <h3>{device.edid ? deviceWords.takenOverEarlier : deviceWords.whatItSays}</h3>
            {edidWords(read.report).map((line) => (
              <p key={line}>{line}</p>
            ))}
          </section>
          <section aria-label={deviceWords.whereItDiffers}>
            <h3>{deviceWords.whereItDiffersFromTheJob}</h3>
            {differences.length === 0 ? <p>{deviceWords.inNoSoundCoding}</p> : null}
            <ul className={styles.differences}>
              {differences.map((difference) => (
                <li key={difference.coding}>{listedDifferenceWords(difference)}</li>
              ))}
            </ul>
          </section>
          <Button onClick={() => onEdit(takeOverEdid(device, read.edid, read.report))}>{deviceWords.takeItOver}</Button>
        </>
      ) : null}
    </div>
  );
}

function readBytes(bytes: Uint8Array): Read {
  const { edid, findings } = readEdid(bytes);
  return { edid, report: edidReport(edid, findings) };
}
