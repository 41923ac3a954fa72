// `npm run demo`: installs, builds, fills a scratch database with the demo jobs and serves it. `--fresh` begins anew.
import { rmSync } from "node:fs";
import { join } from "node:path";
import { ensureBuild, ensureDependencies, portFromEnvironment, root, run, say, serve, stop } from "./prepare.mjs";

const port = portFromEnvironment();
const dataFolder = process.env.OCTACHORD_DATA ?? join(root, ".scratch", "demo");
ensureDependencies();
ensureBuild();
if (process.argv.includes("--fresh")) {
  say("resetting the demo database");
  rmSync(join(dataFolder, "attachments"), { recursive: true, force: true });
  for (const name of ["octachord.sqlite", "octachord.sqlite-wal", "octachord.sqlite-shm"]) rmSync(join(dataFolder, name), { force: true });
}
if (!run(process.execPath, ["--import", "tsx", "demo/load.ts"], { env: { OCTACHORD_DATA: dataFolder } }))
  stop("the demo jobs could not be loaded; the lines above say why.");
await serve({ port, dataFolder });
