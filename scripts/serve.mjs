// The server: the application behind one listener of its own, which refuses what is no question at all before the application sees it.
import { createServer } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { dirname } from "node:path";
import { fileURLToPath } from "node:url";
import { compressedFiles } from "./static-files.mjs";

process.env.NODE_ENV = "production";
const { default: next } = await import("next");

const METHODS = new Set(["GET", "HEAD", "OPTIONS", "POST", "PUT", "PATCH", "DELETE"]);

/** Why a request is refused unseen; null where it is a question. */
function refusalOf({ method = "", url = "" }) {
  if (!METHODS.has(method)) return { status: 405, title: "No such method", detail: `${method} is not answered here.` };
  try {
    if (!/[\u0000-\u001f]/.test(decodeURIComponent(url.split("?")[0]))) return null;
    return { status: 400, title: "Not understood", detail: "The address holds a control character." };
  } catch {
    return { status: 400, title: "Not understood", detail: "The address is not made of UTF-8 characters." };
  }
}

/**
 * Serves the built application until the process ends.
 * @param where host and port, and cert and key in PEM for HTTPS
 */
export async function listen({ host, port, cert, key }) {
  const app = next({ dev: false, dir: dirname(dirname(fileURLToPath(import.meta.url))), hostname: host, port });
  await app.prepare();
  const handle = app.getRequestHandler();
  const files = compressedFiles();
  const answer = (request, response) => {
    const refusal = refusalOf(request);
    if (refusal) {
      const { status, ...told } = refusal;
      response.writeHead(status, { "Content-Type": "application/problem+json" });
      response.end(JSON.stringify({ type: "about:blank", status, ...told }));
      return;
    }
    // Nobody says of himself from where he comes, nor by which way.
    request.headers["x-forwarded-for"] = request.socket.remoteAddress ?? "unknown";
    request.headers["x-forwarded-proto"] = cert ? "https" : "http";
    files(request, response, () => void handle(request, response));
  };
  const server = cert ? createSecureServer({ cert, key }, answer) : createServer(answer);
  await new Promise((resolve, reject) => server.once("error", reject).listen(port, host, resolve));
}

// Started by itself, with a host and a port.
if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const [host = "127.0.0.1", port = "4173"] = process.argv.slice(2);
  const { certificateOf } = await import("./https.mjs");
  const secure = process.env.OCTACHORD_HTTPS ? await certificateOf(process.env.OCTACHORD_DATA ?? "") : {};
  await listen({ host, port: Number(port), cert: secure.cert, key: secure.key });
}
