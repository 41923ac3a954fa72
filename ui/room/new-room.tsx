"use client";

import { Button } from "antd";
import Link from "next/link";
import { useState } from "react";
import type { Command, Job, Room } from "@/core/job";
import { beginRoom, hasUnits } from "@/core/room";
import { EmptyPlace } from "@/ui/kit";
import { TapeField } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import { NumberLine } from "./number-line";
import styles from "./room.module.css";

/** A job whose room nobody has measured: width, depth and height are enough to begin. */
export function NewRoom({ job, room, onEdit }: { job: Job; room: Room | null; onEdit: (command: Command) => void }) {
  const [size, setSize] = useState({ widthM: 4.2, depthM: 3.6, heightM: 2.5 });
  const fields = [
    ["widthM", roomWords.roomWidth],
    ["depthM", roomWords.roomDepth],
    ["heightM", roomWords.ceilingHeight],
  ] as const;
  return (
    <EmptyPlace heading={roomWords.emptyHeading} words={roomWords.empty}>
      {hasUnits(job) ? null : <Link href="gear">{roomWords.addSoundSystem}</Link>}
      <div className={styles.newRoom}>
        {fields.map(([field, label]) => (
          <NumberLine key={field} label={label}>
            <TapeField
              label={label}
              value={size[field]}
              min={field === "heightM" ? 1.5 : 0.5}
              max={field === "heightM" ? 30 : 100}
              onKeep={(value) => value !== null && setSize({ ...size, [field]: value })}
            />
          </NumberLine>
        ))}
        <Button type="primary" onClick={() => onEdit(beginRoom(job, room, size, { room: roomWords.livingRoom, seat: roomWords.mainSeat }))}>
          {roomWords.begin}
        </Button>
      </div>
    </EmptyPlace>
  );
}
