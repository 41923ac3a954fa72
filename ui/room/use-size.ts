"use client";

import { useLayoutEffect, useState, type RefObject } from "react";

/** The size of an element in pixels, as it changes. */
export function useSize(of: RefObject<HTMLElement | null>): { readonly width: number; readonly height: number } {
  const [size, setSize] = useState({ width: 600, height: 400 });
  useLayoutEffect(() => {
    const element = of.current;
    if (!element) return;
    const watcher = new ResizeObserver(([entry]) => {
      const box = entry?.contentRect;
      if (box && box.width > 0) setSize({ width: Math.round(box.width), height: Math.round(box.height) });
    });
    watcher.observe(element);
    return () => watcher.disconnect();
  }, [of]);
  return size;
}
