"use client";

import { useSyncExternalStore } from "react";

const PHONE = "(max-width: 700px)";

/** Whether the window is as narrow as a phone; on the server it is not. */
export const useIsPhone = (): boolean =>
  useSyncExternalStore(
    (tell) => {
      const query = window.matchMedia(PHONE);
      query.addEventListener("change", tell);
      return () => query.removeEventListener("change", tell);
    },
    () => window.matchMedia(PHONE).matches,
    () => false,
  );
