"use client";

import { Button } from "antd";
import { useRef, useState } from "react";
import { MAX_FIRM_PICTURE } from "@/core/preferences";
import { attachmentTypeOf } from "@/core/job";
import { settingsWords } from "@/ui/words";
import styles from "./settings.module.css";

interface FirmPictureProps {
  /** As a data address; empty: none. */
  readonly picture: string;
  readonly onChoose: (picture: string) => void;
}

/** The firm's sign, a PNG or JPEG that is printed on what it hands over. */
export function FirmPicture({ picture, onChoose }: FirmPictureProps) {
  const input = useRef<HTMLInputElement>(null);
  const [told, setTold] = useState<string | null>(null);
  const read = async (file: File | undefined) => {
    if (!file) return;
    const bytes = new Uint8Array(await file.arrayBuffer());
    const type = attachmentTypeOf(bytes);
    if (type !== "image/png" && type !== "image/jpeg") return setTold(settingsWords.pictureKind);
    const address = `data:${type};base64,${btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(""))}`;
    if (address.length > MAX_FIRM_PICTURE) return setTold(settingsWords.pictureTooLarge);
    setTold(null);
    onChoose(address);
  };
  return (
    <div className={styles.picture}>
      {settingsWords.firmPicture}
      {/* eslint-disable-next-line @next/next/no-img-element -- held in the settings, not a file of the application */}
      {picture ? <img src={picture} alt={settingsWords.firmPictureNow} /> : null}
      <input
        ref={input}
        type="file"
        hidden
        accept="image/png,image/jpeg"
        aria-label={settingsWords.firmPicture}
        onChange={(event) => void read(event.target.files?.[0])}
      />
      <span>
        <Button onClick={() => input.current?.click()}>{settingsWords.choosePicture}</Button>
        {picture ? (
          <Button type="text" onClick={() => onChoose("")}>
            {settingsWords.removePicture}
          </Button>
        ) : null}
      </span>
      {told ? <p role="alert">{told}</p> : null}
    </div>
  );
}
