import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { demoFile } from "./support";

const PORT = 4198;
/** Rounds in every run of the tests, and in `npm run prove`. */
const ROUNDS = process.env.OCTACHORD_PROVE ? 200 : 12;
const base = `http://127.0.0.1:${PORT}`;

/** Starts a server of its own on a folder and waits until it answers. */
async function start(folder: string): Promise<ChildProcess> {
  const server = spawn(process.execPath, ["scripts/serve.mjs", "127.0.0.1", String(PORT)], {
    env: { ...process.env, OCTACHORD_DATA: folder },
    stdio: "ignore",
    detached: true,
  });
  await expect
    .poll(
      () =>
        fetch(`${base}/api/health`).then(
          ({ ok }) => ok,
          () => false,
        ),
      { timeout: 30_000, intervals: [100] },
    )
    .toBe(true);
  return server;
}

/** kill -9 of the server and everything it started. */
async function killHard(server: ChildProcess): Promise<void> {
  const gone = new Promise((resolve) => server.on("exit", resolve));
  if (server.pid) process.kill(-server.pid, "SIGKILL");
  await gone;
}

test(`every acknowledged save survives kill -9, ${ROUNDS} rounds`, async () => {
  test.setTimeout(ROUNDS * 20_000);
  const folder = mkdtempSync(join(tmpdir(), "octachord-kill-"));
  let server = await start(folder);
  const imported = await fetch(`${base}/api/jobs/import`, { method: "POST", body: readFileSync(demoFile("sail-loft")) });
  const { id } = (await imported.json()) as { id: string };
  let revision = 1;
  let acknowledged = "Sail Loft";
  let saves = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    let killed = false;
    // Another moment of the stream each time, from the first save to well into it.
    setTimeout(
      () => {
        killed = true;
        void killHard(server);
      },
      40 + round * 35,
    );
    let attempted = acknowledged;
    while (!killed) {
      attempted = `Name ${round}.${saves}`;
      const answer = await fetch(`${base}/api/jobs/${id}`, {
        method: "PUT",
        body: JSON.stringify({ revision, commands: [{ kind: "edit-job", fields: { name: attempted } }] }),
      })
        .then(async (response) => (response.ok ? ((await response.json()) as { revision: number }) : null))
        .catch(() => null);
      if (!answer) break;
      ({ revision } = answer);
      acknowledged = attempted;
      saves += 1;
    }
    await expect.poll(() => killed).toBe(true);
    await expect
      .poll(() =>
        fetch(`${base}/api/health`).then(
          () => true,
          () => false,
        ),
      )
      .toBe(false);
    server = await start(folder);
    const found = (await (await fetch(`${base}/api/jobs/${id}`)).json()) as { revision: number; document: { name: string } };
    // The one save that was under way may be in or not; all that were answered are.
    expect([acknowledged, attempted]).toContain(found.document.name);
    expect(found.revision).toBeGreaterThanOrEqual(revision);
    expect(found.revision).toBeLessThanOrEqual(revision + 1);
    ({ revision } = found);
    acknowledged = found.document.name;
  }
  expect(saves).toBeGreaterThan(ROUNDS);
  await killHard(server);
});
