import { z } from "zod";
import { done, refused, type Outcome } from "@/core/outcome";

const Told = z.object({ detail: z.string() });

const AWAY = "The server does not answer. Nothing was changed; try again when it does.";

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
