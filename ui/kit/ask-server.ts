import { z } from "zod";
import { done, refused, type Outcome } from "@/core/outcome";
import { kitWords } from "@/ui/words";

const Told = z.object({ detail: z.string() });

const AWAY = kitWords.serverAway;

/** Asks the server; its answer as it came, or one sentence that says why there is none. */
export async function askServer(url: string, init: RequestInit): Promise<Outcome<unknown, string>> {
  try {
    const response = await fetch(url, init);
    const body: unknown = response.status === 204 ? null : await response.json();
    if (response.ok) return done(body);
    const told = Told.safeParse(body);
    return refused(told.success ? told.data.detail : AWAY);
  } catch {
    return refused(AWAY);
  }
}
