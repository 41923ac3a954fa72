// `npm run prove`: the long forms of what `npm test` tries in short. Prints what was tried; ends with an error where anything failed.
import { join } from "node:path";
import { ensureBuild, ensureDependencies, root, run, say } from "./prepare.mjs";

/** The tests that try more where they are asked to prove. */
const LONG = [
  "demo/check.test.ts",
  "server/soundness.test.ts",
  "server/mutated.test.ts",
  "server/writers.test.ts",
  "server/small-disk.test.ts",
];

ensureDependencies();
say("proofs, the long forms");
const ok = run(process.execPath, [join(root, "node_modules/vitest/vitest.mjs"), "run", ...LONG], { env: { OCTACHORD_PROVE: "1" } });
say("kill -9 and an hour of use, the long forms");
ensureBuild();
const survives = run(process.execPath, [join(root, "node_modules/@playwright/test/cli.js"), "test", "durability", "long-use"], {
  env: { OCTACHORD_PROVE: "1" },
});
process.exit(ok && survives ? 0 : 1);
