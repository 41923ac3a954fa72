"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import { useIntents, useJob } from "./job-context";
import { PLACES } from "./places";

/** True where keys belong to what is being typed or chosen. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.getAttribute("role") === "combobox");

/** Undo, redo, the places by number, and the sheet that explains them. */
export function useJobShortcuts(openSheet: () => void): void {
  const { undo, redo } = useIntents();
  const id = useJob((state) => state.id);
  const router = useRouter();
  const latest = useRef(openSheet);
  useEffect(() => {
    latest.current = openSheet;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target) || document.querySelector(".ant-modal-wrap:not([style*='display: none'])")) return;
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && key === "z") {
        event.preventDefault();
        if (event.shiftKey) redo();
        else undo();
      } else if ((event.ctrlKey || event.metaKey) && key === "y") {
        event.preventDefault();
        redo();
      } else if (!event.ctrlKey && !event.metaKey && !event.altKey) {
        if (event.key === "?") latest.current();
        const place = PLACES.flatMap(({ places }) => [...places]).find((row) => row.key === event.key);
        if (place) router.push(`/jobs/${id}/${place.path}`);
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [id, redo, router, undo]);
}
