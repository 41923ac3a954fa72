"use client";

import { useEffect, useState } from "react";
import { z } from "zod";
import { Device } from "@/core/device";
import { done, refused, type Outcome } from "@/core/outcome";

const Own = z.object({ id: z.string(), device: Device });
export type OwnDevice = z.infer<typeof Own>;
const Shelf = z.object({ own: z.array(Own) });
const Told = z.object({ detail: z.string() });

const AWAY = "The server does not answer. Nothing was changed; try again when it does.";

/** The devices of one's own on the shelf; null while they are fetched, an empty list where the server is away. */
export function useOwnDevices(): readonly OwnDevice[] | null {
  const [own, setOwn] = useState<readonly OwnDevice[] | null>(null);
  useEffect(() => {
    let wanted = true;
    const fetchThem = async () => {
      const answer: unknown = await fetch("/api/shelf")
        .then((response) => response.json())
        .catch(() => null);
      const shelf = Shelf.safeParse(answer);
      if (wanted) setOwn(shelf.success ? shelf.data.own : []);
    };
    void fetchThem();
    return () => {
      wanted = false;
    };
  }, []);
  return own;
}

/** Keeps a device for other jobs; a refusal says what does not hold together. */
export const keepOnShelf = (device: Device): Promise<Outcome<null, string>> =>
  ask("/api/shelf", { method: "POST", body: JSON.stringify(device), headers: { "Content-Type": "application/json" } });

export const dropFromShelf = (id: string): Promise<Outcome<null, string>> => ask(`/api/shelf/${id}`, { method: "DELETE" });

async function ask(url: string, init: RequestInit): Promise<Outcome<null, string>> {
  try {
    const response = await fetch(url, init);
    if (response.ok) return done(null);
    const told = Told.safeParse(await response.json());
    return refused(told.success ? told.data.detail : AWAY);
  } catch {
    return refused(AWAY);
  }
}
