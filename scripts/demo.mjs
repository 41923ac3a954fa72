// `npm run demo`: installs, builds, fills a scratch database with the demo jobs and serves it. `--fresh` starts afresh.
import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { ensureBuild, ensureDependencies, portFromEnvironment, root, run, say, serve, stop } from "./prepare.mjs";

const port = portFromEnvironment();
const OWN_FOLDER = join(root, ".scratch", "demo");
const dataFolder = process.env.OCTACHORD_DATA ?? OWN_FOLDER;
await ensureDependencies();
ensureBuild();
const mark = join(dataFolder, ".octachord-demo");
if (process.argv.includes("--fresh") && existsSync(dataFolder)) {
  // What somebody works in is never emptied by a mistake.
  if (dataFolder !== OWN_FOLDER && readdirSync(dataFolder).length > 0 && !existsSync(mark))
    stop(`${dataFolder} was not made by the demo, so --fresh leaves it alone; give another folder with OCTACHORD_DATA.`);
  say("resetting the demo database");
  rmSync(join(dataFolder, "attachments"), { recursive: true, force: true });
  for (const name of ["octachord.sqlite", "octachord.sqlite-wal", "octachord.sqlite-shm", "last-save.json"])
    rmSync(join(dataFolder, name), { force: true });
}
if (!existsSync(dataFolder)) {
  mkdirSync(dataFolder, { recursive: true, mode: 0o700 });
  writeFileSync(mark, "This folder was made by `npm run demo`; `npm run demo -- --fresh` empties it.\n");
}
if (!run(process.execPath, ["--import", "tsx", "demo/load.ts"], { env: { OCTACHORD_DATA: dataFolder } }))
  stop("the demo jobs could not be loaded; the lines above say why.");
await serve({ port, dataFolder });
