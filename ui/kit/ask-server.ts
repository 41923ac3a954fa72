import { done, refused, type Outcome } from "@/core/outcome";
import { kitWords } from "@/ui/words";

const AWAY = kitWords.serverAway;

/** Asks the server; its answer as it came, or one sentence that says why there is none. */
export async function askServer(url: string, init: RequestInit): Promise<Outcome<unknown, string>> {
  try {
    const response = await fetch(url, init);
    const body: unknown = response.status === 204 ? null : await response.json();
    if (response.ok) return done(body);
    // Fetched when it is needed: the first page does without checking anything.
    const { sentenceOf } = await import("./server-sentence");
    return refused(sentenceOf(body) ?? AWAY);
  } catch {
    return refused(AWAY);
  }
}
