// Compresses scripts and styles once, after a build, and harder than a server can while somebody waits for a page.
import { readdir, readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { promisify } from "node:util";
import { brotliCompress, constants, gzip } from "node:zlib";
import { staticFiles } from "./static-files.mjs";

/** Fonts and pictures are compressed in themselves. */
const SHRINKS = /\.(js|css|svg)$/;
const asBrotli = promisify(brotliCompress);
const asGzip = promisify(gzip);

const names = await readdir(staticFiles, { recursive: true });
await Promise.all(
  names
    .filter((name) => SHRINKS.test(name))
    .map(async (name) => {
      const path = join(staticFiles, name);
      const content = await readFile(path);
      const params = { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY, [constants.BROTLI_PARAM_SIZE_HINT]: content.length };
      await writeFile(`${path}.br`, await asBrotli(content, { params }));
      // Browsers ask for Brotli over HTTPS and of their own machine alone.
      await writeFile(`${path}.gz`, await asGzip(content, { level: constants.Z_BEST_COMPRESSION }));
    }),
);
