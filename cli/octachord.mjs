#!/usr/bin/env node
// Starts the command line from its TypeScript source, so that it works right after `npm ci`, with no build.
import { fileURLToPath } from "node:url";
import { register } from "tsx/esm/api";

register({ tsconfig: fileURLToPath(new URL("../tsconfig.json", import.meta.url)) });
const { main } = await import("./main.ts");
process.exitCode = await main(process.argv.slice(2));
