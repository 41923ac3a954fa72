#!/usr/bin/env node
// Starts the command line from its TypeScript source, so that it works right after `npm ci`, with no build.
import { fileURLToPath } from "node:url";
import { register } from "tsx/esm/api";

// Who reads only the first lines, as `head` does, closes the pipe; that is no fault.
process.stdout.on("error", (error) => {
  if (error.code === "EPIPE") process.exit(process.exitCode ?? 0);
  throw error;
});

register({ tsconfig: fileURLToPath(new URL("../tsconfig.json", import.meta.url)) });
const { main } = await import("./main.ts");
process.exitCode = await main(process.argv.slice(2));
