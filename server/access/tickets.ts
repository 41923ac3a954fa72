import { randomBytes } from "node:crypto";
import { hashed } from "./token-hash";

/** A ticket is good for so long, and so many may wait to be used. */
const TICKET_MS = 5 * 60_000;
const MOST_TICKETS = 20;

/** Tickets by which a phone beside a signed-in laptop comes in without typing the passphrase. Each opens once, and soon. */
export class Tickets {
  /** When each ends, by its hash, the oldest first. */
  private readonly ends = new Map<string, number>();

  issue(now: number): { readonly ticket: string; readonly seconds: number } {
    const ticket = randomBytes(16).toString("base64url");
    this.ends.set(hashed(ticket), now + TICKET_MS);
    for (const oldest of [...this.ends.keys()].slice(0, -MOST_TICKETS)) this.ends.delete(oldest);
    return { ticket, seconds: TICKET_MS / 1000 };
  }

  /** Whether the ticket is good; it is not any more afterwards. */
  take(ticket: string, now: number): boolean {
    const id = hashed(ticket);
    const end = this.ends.get(id);
    this.ends.delete(id);
    return end !== undefined && now < end;
  }

  /** No ticket that is out opens any more. */
  endAll(): void {
    this.ends.clear();
  }
}
