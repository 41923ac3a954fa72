// `npm start`: serves the user's own database, empty at first.
import { homedir } from "node:os";
import { join } from "node:path";
import { ensureBuild, ensureDependencies, portFromEnvironment, serve } from "./prepare.mjs";

const port = portFromEnvironment();
await ensureDependencies();
ensureBuild();
await serve({ port, dataFolder: process.env.OCTACHORD_DATA ?? join(homedir(), ".octachord") });
