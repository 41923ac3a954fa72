"use client";

import { useRef, type KeyboardEvent, type PointerEvent } from "react";
import type { Spot } from "@/core/job";

interface Dragging {
  readonly perMetre: number;
  /** Where the thing is now. */
  readonly at: Spot;
  readonly onChoose: () => void;
  /** Where it would be while it is dragged; null: no longer. */
  readonly onShow: (to: Spot | null) => void;
  readonly onMove: (to: Spot) => void;
}

interface Held {
  readonly pointer: number;
  readonly x: number;
  readonly y: number;
  /** Where the thing was when it was taken. */
  readonly at: Spot;
  isMoved: boolean;
}

/** A press shorter than this in pixels chooses and does not move. */
const LEAST_PX = 3;
const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] } as const;
const isArrow = (key: string): key is keyof typeof STEPS => key in STEPS;

/** Handlers for a mark of a drawing: dragged by mouse or finger, moved by arrow keys in centimetres, ten with Shift. */
export function useDragging() {
  const held = useRef<Held | null>(null);
  return ({ perMetre, at, onChoose, onShow, onMove }: Dragging) => {
    const target = (event: PointerEvent, from: Held): Spot => ({
      x: from.at.x + (event.clientX - from.x) / perMetre,
      y: from.at.y + (event.clientY - from.y) / perMetre,
    });
    return {
      onPointerDown: (event: PointerEvent<SVGGElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = { pointer: event.pointerId, x: event.clientX, y: event.clientY, at, isMoved: false };
        onChoose();
      },
      onPointerMove: (event: PointerEvent<SVGGElement>) => {
        const from = held.current;
        if (from?.pointer !== event.pointerId) return;
        if (!from.isMoved && Math.hypot(event.clientX - from.x, event.clientY - from.y) < LEAST_PX) return;
        from.isMoved = true;
        onShow(target(event, from));
      },
      onPointerUp: (event: PointerEvent<SVGGElement>) => {
        const from = held.current;
        held.current = null;
        onShow(null);
        if (from?.isMoved) onMove(target(event, from));
      },
      onPointerCancel: () => {
        held.current = null;
        onShow(null);
      },
      onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
        if (event.key === "Enter" || event.key === " ") {
          event.preventDefault();
          onChoose();
        }
        if (!isArrow(event.key)) return;
        event.preventDefault();
        const [x, y] = STEPS[event.key];
        const step = event.shiftKey ? 0.1 : 0.01;
        onChoose();
        onMove({ x: at.x + x * step, y: at.y + y * step });
      },
    };
  };
}
