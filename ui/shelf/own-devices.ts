"use client";

import { useEffect, useState } from "react";
import { z } from "zod";
import { Device } from "@/core/device";
import { refused, type Outcome } from "@/core/outcome";
import { asJson, askServer } from "@/ui/kit";
import { shelfWords } from "@/ui/words";

const Own = z.object({ id: z.string(), device: Device });
export type OwnDevice = z.infer<typeof Own>;
const Shelf = z.object({ own: z.array(Own) });

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
export const keepOnShelf = (device: Device): Promise<Outcome<unknown, string>> => askServer("/api/shelf", asJson("POST", device));

export const dropFromShelf = (id: string): Promise<Outcome<unknown, string>> => askServer(`/api/shelf/${id}`, { method: "DELETE" });

export const changeOnShelf = (id: string, device: Device): Promise<Outcome<unknown, string>> =>
  askServer(`/api/shelf/${id}`, asJson("PUT", device));

/** Takes in a shelf file; a refusal names the file, the place in it and what was expected. */
export async function importShelf(file: File): Promise<Outcome<unknown, string>> {
  const outcome = await askServer("/api/shelf/import", { method: "POST", body: file, headers: { "Content-Type": "application/json" } });
  return outcome.ok ? outcome : refused(shelfWords.wasNotTakenIn(file.name, outcome.refusal));
}
