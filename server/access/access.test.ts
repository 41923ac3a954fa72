import { mkdtemp, readFile, stat } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeEach, describe, expect, test } from "vitest";
import { Access } from "./access";
import { hashPassphrase, isPassphrase } from "./passphrase";
import { Tries } from "./tries";

const PASSPHRASE = "long winter loft";
const caller = (address: string) => ({ address, agent: "a browser" });
const DAY_MS = 86_400_000;

let folder: string;
let now: number;
const open = (passphrase = PASSPHRASE) => Access.open(folder, passphrase, () => now);
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), "octachord-access-"));
  now = Date.UTC(2026, 0, 1);
});

async function signedIn(access: Access, address = "10.0.0.2"): Promise<string> {
  const found = await access.signIn(PASSPHRASE, caller(address));
  if (!found.ok) throw new Error(found.refusal.code);
  return found.value;
}

describe("a session", () => {
  test("opens with the passphrase alone, and its cookie cannot be made or changed by hand", async () => {
    const access = await open();
    expect(await access.signIn("long winter lofts", caller("10.0.0.2"))).toEqual({ ok: false, refusal: { code: "wrong" } });
    const cookie = await signedIn(access);
    expect(access.sessionOf(cookie)).toMatchObject({ address: "10.0.0.2", agent: "a browser" });
    const [token = "", signature = ""] = cookie.split(".");
    for (const wrong of [
      undefined,
      "",
      ".",
      token,
      `${token}.`,
      `${token}x.${signature}`,
      `${token}.${signature}x`,
      `${signature}.${token}`,
    ])
      expect(access.sessionOf(wrong), String(wrong)).toBeNull();
  });

  test("outlives a new start of the server, and ends everywhere when the passphrase is changed", async () => {
    const cookie = await signedIn(await open());
    expect((await open()).sessionOf(cookie)).not.toBeNull();
    expect((await open("another winter")).sessionOf(cookie)).toBeNull();
    expect((await open()).sessionOf(cookie)).toBeNull();
  });

  test("ends when it is signed out, when all are, and when it was not seen for thirty days", async () => {
    const access = await open();
    const [one, two] = [await signedIn(access), await signedIn(access, "10.0.0.3")];
    expect(access.sessions).toHaveLength(2);
    await access.signOut(access.sessionOf(one)?.id ?? "");
    expect([access.sessionOf(one), access.sessionOf(two)?.address]).toEqual([null, "10.0.0.3"]);
    now += 20 * DAY_MS;
    expect(access.sessionOf(two)).not.toBeNull();
    now += 20 * DAY_MS;
    expect(access.sessionOf(two)).not.toBeNull();
    now += 31 * DAY_MS;
    expect(access.sessionOf(two)).toBeNull();
    const three = await signedIn(access);
    await access.signOutEverywhere();
    expect(access.sessionOf(three)).toBeNull();
  });

  test("leaves neither the passphrase nor its cookie in the file, which is the owner's alone", async () => {
    const cookie = await signedIn(await open());
    const file = join(folder, "access.json");
    const text = await readFile(file, "utf8");
    expect(text).not.toContain(PASSPHRASE);
    expect(text).not.toContain(cookie.split(".")[0] ?? "");
    expect((await stat(file)).mode & 0o777).toBe(0o600);
  });

  test("a broken file is replaced by a new one: nobody comes in by it", async () => {
    const cookie = await signedIn(await open());
    const { writeFile } = await import("node:fs/promises");
    await writeFile(join(folder, "access.json"), "{");
    const access = await open();
    expect(access.sessionOf(cookie)).toBeNull();
    await signedIn(access);
  });
});

describe("wrong tries", () => {
  test("after the third each waits twice as long, the right passphrase too, and another address does not", async () => {
    const access = await open();
    for (const _try of [1, 2, 3]) expect(await access.signIn("wrong", caller("a"))).toMatchObject({ refusal: { code: "wrong" } });
    expect(await access.signIn(PASSPHRASE, caller("a"))).toEqual({ ok: false, refusal: { code: "wait", seconds: 1 } });
    await signedIn(access, "b");
    now += 1000;
    expect(await access.signIn("wrong", caller("a"))).toMatchObject({ refusal: { code: "wrong" } });
    expect(await access.signIn(PASSPHRASE, caller("a"))).toEqual({ ok: false, refusal: { code: "wait", seconds: 2 } });
    now += 2000;
    await signedIn(access, "a");
  });

  test("an address waits at most a quarter of an hour, all together half a minute, and an hour of quiet forgets", () => {
    const tries = new Tries();
    for (let count = 0; count < 40; count += 1) tries.wrong("a", now);
    expect(tries.waitMs("a", now)).toBe(15 * 60_000);
    expect(tries.waitMs("b", now)).toBe(30_000);
    now += 3_600_001;
    tries.wrong("a", now);
    expect([tries.waitMs("a", now), tries.waitMs("b", now)]).toEqual([0, 0]);
  });

  test("from ever new addresses are slowed down together, and remembered in a bounded list", () => {
    const tries = new Tries();
    for (let count = 0; count < 5000; count += 1) tries.wrong(`10.0.${count >> 8}.${count & 255}`, now);
    expect(tries.waitMs("somebody new", now)).toBe(30_000);
  });
});

test("a passphrase is the same however its letters are composed, and no hash is made twice alike", async () => {
  const [one, two] = [await hashPassphrase("caf\u00e9 du coin"), await hashPassphrase("caf\u00e9 du coin")];
  expect(one.hash).not.toBe(two.hash);
  expect(await isPassphrase("cafe\u0301 du coin", one)).toBe(true);
  expect(await isPassphrase("cafe du coin", one)).toBe(false);
});

describe("a ticket for the phone beside", () => {
  test("opens once, within five minutes, and a session of its own", async () => {
    const access = await open();
    const { ticket } = access.issueTicket();
    const first = await access.signInByTicket(ticket, caller("10.0.0.7"));
    expect(first.ok && access.sessionOf(first.value)).toMatchObject({ address: "10.0.0.7" });
    expect(await access.signInByTicket(ticket, caller("10.0.0.8"))).toEqual({ ok: false, refusal: { code: "no-such-ticket" } });

    const late = access.issueTicket().ticket;
    now += 5 * 60_000;
    expect(await access.signInByTicket(late, caller("10.0.0.7"))).toEqual({ ok: false, refusal: { code: "no-such-ticket" } });
  });

  test("cannot be guessed on and on, and is void once everybody is signed out", async () => {
    const access = await open();
    const { ticket } = access.issueTicket();
    await access.signOutEverywhere();
    expect(await access.signInByTicket(ticket, caller("10.0.0.7"))).toMatchObject({ ok: false });
    for (let count = 0; count < 4; count += 1) await access.signInByTicket(`guess ${count}`, caller("10.0.0.9"));
    expect(await access.signInByTicket("guess", caller("10.0.0.9"))).toMatchObject({ ok: false, refusal: { code: "wait" } });
  });
});
