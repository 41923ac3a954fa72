import { createHmac, randomBytes, timingSafeEqual } from "node:crypto";
import { readFile, rename, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { z } from "zod";
import { done, refused, type Outcome } from "@/core/outcome";
import { DAY_MS } from "../day";
import { readStored } from "../stored";
import { hashPassphrase, isPassphrase, PassphraseHash } from "./passphrase";
import { Tickets } from "./tickets";
import { hashed } from "./token-hash";
import { Tries } from "./tries";

const FILE = "access.json";
const SESSION_DAYS = 30;
const MOST_SESSIONS = 50;
/** How often it is written down that a session is in use. */
const SEEN_EVERY_MS = 3_600_000;

const Session = z.strictObject({
  /** The hash of its token: who reads the file cannot sign in with it. */
  id: z.string(),
  at: z.number(),
  seen: z.number(),
  address: z.string(),
  agent: z.string(),
});
export type Session = z.infer<typeof Session>;

/** What is kept of who may come in. */
const Kept = z.strictObject({ version: z.literal(1), passphrase: PassphraseHash, secret: z.base64(), sessions: z.array(Session) });
type Kept = z.infer<typeof Kept>;

export type SignInRefusal = { readonly code: "wrong" | "no-such-ticket" } | { readonly code: "wait"; readonly seconds: number };

/** Who tries to come in. */
export interface Caller {
  readonly address: string;
  readonly agent: string;
}

/** Who may come in where a passphrase is set: sessions by a signed cookie, kept beside the database. */
export class Access {
  private readonly tries = new Tries();
  private readonly tickets = new Tickets();
  private writing: Promise<unknown> = Promise.resolve();

  private constructor(
    private readonly folder: string,
    private kept: Kept,
    private readonly clock: () => number,
  ) {}

  /** Opens it for a passphrase; another one than was kept ends every session. */
  static async open(folder: string, passphrase: string, clock: () => number = Date.now): Promise<Access> {
    const read = readStored(Kept, await readFile(join(folder, FILE), "utf8").catch(() => null));
    if (read.sound && (await isPassphrase(passphrase, read.value.passphrase))) return new Access(folder, read.value, clock);
    const fresh: Kept = {
      version: 1,
      passphrase: await hashPassphrase(passphrase),
      secret: randomBytes(32).toString("base64"),
      sessions: [],
    };
    const access = new Access(folder, fresh, clock);
    await access.write();
    return access;
  }

  /** Gives the cookie of a new session, or says why not. */
  signIn(passphrase: string, caller: Caller): Promise<Outcome<string, SignInRefusal>> {
    return this.letIn(caller, "wrong", () => isPassphrase(passphrase, this.kept.passphrase));
  }

  /** Gives the cookie of a new session for a ticket that was issued a moment ago, once. */
  signInByTicket(ticket: string, caller: Caller): Promise<Outcome<string, SignInRefusal>> {
    return this.letIn(caller, "no-such-ticket", () => Promise.resolve(this.tickets.take(ticket, this.clock())));
  }

  /** A ticket for a device beside one that is signed in. */
  issueTicket = (): ReturnType<Tickets["issue"]> => this.tickets.issue(this.clock());

  private async letIn(
    { address, agent }: Caller,
    otherwise: "wrong" | "no-such-ticket",
    isRight: () => Promise<boolean>,
  ): Promise<Outcome<string, SignInRefusal>> {
    const wait = this.tries.waitMs(address, this.clock());
    if (wait > 0) return refused({ code: "wait", seconds: Math.ceil(wait / 1000) });
    if (!(await isRight())) {
      this.tries.wrong(address, this.clock());
      return refused({ code: otherwise });
    }
    this.tries.right(address);
    const token = randomBytes(32).toString("base64url");
    const now = this.clock();
    const session: Session = { id: hashed(token), at: now, seen: now, address: address.slice(0, 100), agent: agent.slice(0, 300) };
    const newest = this.sessions.toSorted((a, b) => b.seen - a.seen).slice(0, MOST_SESSIONS - 1);
    await this.keep([...newest, session]);
    return done(`${token}.${this.signatureOf(token)}`);
  }

  /** The session of a cookie; null where it is none, was signed out, or was not seen for long. */
  sessionOf(cookie: string | undefined): Session | null {
    const [token = "", signature = ""] = (cookie ?? "").split(".");
    const wanted = Buffer.from(this.signatureOf(token));
    const given = Buffer.from(signature);
    if (given.length !== wanted.length || !timingSafeEqual(given, wanted)) return null;
    const id = hashed(token);
    const found = this.sessions.find((session) => session.id === id);
    if (!found) return null;
    const now = this.clock();
    if (now - found.seen > SEEN_EVERY_MS)
      void this.keep(this.sessions.map((session) => (session === found ? { ...session, seen: now } : session))).catch(() => undefined);
    return found;
  }

  /** Sessions that are not over, the newest last. */
  get sessions(): readonly Session[] {
    return this.kept.sessions.filter(({ seen }) => this.clock() - seen < SESSION_DAYS * DAY_MS);
  }

  signOut = (id: string): Promise<void> => this.keep(this.sessions.filter((session) => session.id !== id));
  signOutEverywhere = (): Promise<void> => {
    this.tickets.endAll();
    return this.keep([]);
  };

  private signatureOf(token: string): string {
    return createHmac("sha256", Buffer.from(this.kept.secret, "base64")).update(token).digest("base64url");
  }

  private keep(sessions: readonly Session[]): Promise<void> {
    this.kept = { ...this.kept, sessions: [...sessions] };
    return this.write();
  }

  /** Written beside and put in place at once, one after the other, so that no half of it is ever read. */
  private write(): Promise<void> {
    const turn = this.writing.then(async () => {
      const file = join(this.folder, FILE);
      await writeFile(`${file}.part`, JSON.stringify(this.kept), { mode: 0o600 });
      await rename(`${file}.part`, file);
    });
    this.writing = turn.catch(() => undefined);
    return turn;
  }
}
