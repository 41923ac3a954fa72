"use client";

import { Button } from "antd";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import type { Spot } from "@/core/job";
import { TapeField } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import styles from "./room.module.css";

/** The corners of a room that is no rectangle, in order round the room. */
export function Corners({ outline, onKeep }: { outline: readonly Spot[]; onKeep: (outline: Spot[]) => void }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <Button size="small" className={styles.opens ?? ""} onClick={() => setOpen(true)}>
        {roomWords.corners(outline.length)}
      </Button>
    );
  const set = (at: number, change: Partial<Spot>) => onKeep(outline.map((spot, index) => (index === at ? { ...spot, ...change } : spot)));
  const add = (after: number) => {
    const [from, to] = [outline[after] ?? { x: 0, y: 0 }, outline[(after + 1) % outline.length] ?? { x: 0, y: 0 }];
    const half = { x: Number(((from.x + to.x) / 2).toFixed(2)), y: Number(((from.y + to.y) / 2).toFixed(2)) };
    onKeep([...outline.slice(0, after + 1), half, ...outline.slice(after + 1)]);
  };
  return (
    <ol className={styles.corners} aria-label={roomWords.cornersInOrder}>
      {outline.map(({ x, y }, index) => (
        <li key={index}>
          <span>{index + 1}</span>
          <TapeField label={roomWords.cornerX(index + 1)} value={x} onKeep={(value) => value !== null && set(index, { x: value })} />
          <TapeField label={roomWords.cornerY(index + 1)} value={y} onKeep={(value) => value !== null && set(index, { y: value })} />
          <Button
            type="text"
            size="small"
            icon={<Plus size={14} aria-hidden />}
            aria-label={roomWords.cornerAfter(index + 1)}
            onClick={() => add(index)}
          />
          <Button
            type="text"
            size="small"
            icon={<Trash2 size={14} aria-hidden />}
            aria-label={roomWords.removeCorner(index + 1)}
            disabled={outline.length <= 3}
            onClick={() => onKeep(outline.filter((_, at) => at !== index))}
          />
        </li>
      ))}
    </ol>
  );
}
