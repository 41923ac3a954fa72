// Scripts, styles and fonts of the built application, as they lie on the disk and as they are asked for.
import { existsSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import sirv from "sirv";

const build = join(dirname(dirname(fileURLToPath(import.meta.url))), ".next");
export const staticFiles = join(build, "static");
const ASKED_AS = "/_next/static";
const A_YEAR = 365 * 24 * 60 * 60;

/**
 * Answers for files that were compressed after the build; every other request goes on. A build that nobody compressed is left to Next.js,
 * which does it at each request.
 */
export function compressedFiles() {
  const id = readFileSync(join(build, "BUILD_ID"), "utf8").trim();
  if (!existsSync(join(staticFiles, id, "_buildManifest.js.br"))) return (_request, _response, next) => next();
  // Each file is named after what is in it, so a browser never asks twice.
  const answer = sirv(staticFiles, { brotli: true, gzip: true, immutable: true, maxAge: A_YEAR });
  return (request, response, next) => {
    const { url = "" } = request;
    if (!url.startsWith(`${ASKED_AS}/`)) return next();
    request.url = url.slice(ASKED_AS.length);
    // A build made while the server runs takes files away; that ends the answer, not the server.
    response.once("pipe", (file) => file.once("error", () => response.destroy()));
    answer(request, response, () => {
      request.url = url;
      next();
    });
  };
}
