// What the start, demo and test scripts share. Plain Node: it must run before anything is installed.
import { spawn, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { connect, createServer } from "node:net";
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const npm = process.platform === "win32" ? "npm.cmd" : "npm";

export function say(text) {
  console.log(`· ${text}`);
}

/** Ends the program with one sentence that says what to do. */
export function stop(sentence) {
  console.error(`octachord: ${sentence}`);
  process.exit(2);
}

/** Runs a command with its output shown; returns whether it succeeded. */
export function run(command, args, options = {}) {
  const { env, ...rest } = options;
  return spawnSync(command, args, { cwd: root, stdio: "inherit", env: { ...process.env, ...env }, ...rest }).status === 0;
}

/** The same for what takes minutes without a word: says every twenty seconds that it is still running. */
function runSlowly(command, args, options) {
  const pulse = startPulse();
  const ok = run(command, args, options);
  pulse.kill();
  return ok;
}

function startPulse() {
  const code = "let s = 0; setInterval(() => console.log(`  still running, ${(s += 20)} s`), 20000)";
  const pulse = spawn(process.execPath, ["-e", code], { stdio: ["ignore", "inherit", "ignore"] });
  process.on("exit", () => pulse.kill());
  return pulse;
}

/** Starts a command and goes on; the promise says whether it succeeded. */
export const begin = (command, args, env) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ["ignore", "inherit", "inherit"], env: { ...process.env, ...env } });
    child.on("error", () => resolve(false)).on("exit", (code) => resolve(code === 0));
  });

const has = (command) => spawnSync(command, ["--version"], { stdio: "ignore" }).status === 0;
const canInstallPackages = () => process.platform === "linux" && process.getuid?.() === 0 && has("apt-get");

/** Installs Debian packages where that is possible; returns whether it was. */
export function installPackages(names) {
  if (!canInstallPackages()) return false;
  say(`installing ${names.join(", ")} through apt-get`);
  const env = { DEBIAN_FRONTEND: "noninteractive" };
  return run("apt-get", ["update", "-qq"], { env }) && run("apt-get", ["install", "-y", "-qq", ...names], { env });
}

function ensureCompiler() {
  const missing = [
    ["python3", "python3"],
    ["make", "make"],
    ["g++", "g++"],
  ].filter(([command]) => !has(command));
  if (missing.length === 0) return;
  const names = missing.map(([, name]) => name);
  if (!installPackages(names))
    stop(
      `the database is compiled from source and needs ${names.join(", ")}; install ${names.length > 1 ? "them" : "it"} and start again.`,
    );
}

/**
 * Runs `npm ci` where the installed packages are not those of the lock file, then begins to compile the database. The promise it returns
 * holds once that is done; whatever needs no database may go on beside it. Null: all of it is there.
 */
export function beginDependencies() {
  const [major = 0, minor = 0] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 9)) stop(`this needs Node.js 20.9 or newer; this is ${process.versions.node}.`);
  const lock = createHash("sha256")
    .update(readFileSync(join(root, "package-lock.json")))
    .digest("hex");
  const mark = join(root, "node_modules", ".octachord-lock");
  const binding = join(root, "node_modules", "sqlite3", "build", "Release", "node_sqlite3.node");
  if (existsSync(mark) && readFileSync(mark, "utf8") === lock && existsSync(binding)) return null;
  ensureCompiler();
  say("installing packages");
  if (!runSlowly(npm, ["ci", "--ignore-scripts", "--no-audit", "--no-fund", "--loglevel=error"]))
    stop("npm ci did not finish; the lines above say why.");
  say("compiling the database from source (about two minutes the first time)");
  const prefix = dirname(dirname(process.execPath));
  const headers = existsSync(join(prefix, "include", "node", "node_version.h")) ? { npm_config_nodedir: prefix } : {};
  return begin(npm, ["rebuild", "--loglevel=error"], headers).then((ok) => {
    if (!ok || !existsSync(binding)) stop("sqlite3 could not be compiled; the lines above say why.");
    writeFileSync(mark, lock);
  });
}

/** The same, until all of it is done. */
export async function ensureDependencies() {
  const compiled = beginDependencies();
  if (!compiled) return;
  const pulse = startPulse();
  await compiled;
  pulse.kill();
}

const SOURCES = [
  "app",
  "core",
  "server",
  "ui",
  "workers",
  "next.config.ts",
  "proxy.ts",
  "instrumentation.ts",
  "package-lock.json",
  "tsconfig.json",
];

function* filesOf(path) {
  if (!existsSync(path)) return;
  if (statSync(path).isFile()) yield path;
  else for (const name of readdirSync(path).sort()) yield* filesOf(join(path, name));
}

/** Builds the application where its sources changed since the last build. */
export function ensureBuild() {
  const hash = createHash("sha256");
  for (const source of SOURCES)
    for (const file of filesOf(join(root, source))) if (!/\.test\.tsx?$/.test(file)) hash.update(file).update(readFileSync(file));
  const state = hash.digest("hex");
  const mark = join(root, ".next", "octachord-sources");
  const built = () => `${state} ${readFileSync(join(root, ".next", "BUILD_ID"), "utf8")}`;
  if (existsSync(mark) && existsSync(join(root, ".next", "BUILD_ID")) && readFileSync(mark, "utf8") === built()) return;
  // A build that is broken off half-way, or made by hand of other sources, never passes for this one.
  rmSync(mark, { force: true });
  say("building the application (about a minute)");
  if (
    !runSlowly(process.execPath, [join(root, "node_modules", "next", "dist", "bin", "next"), "build"], {
      env: { NEXT_TELEMETRY_DISABLED: "1" },
    })
  ) {
    stop("the build did not finish; the lines above say why.");
  }
  if (!run(process.execPath, [join(root, "scripts", "compress.mjs")])) stop("the build could not be compressed; the lines above say why.");
  writeFileSync(mark, built());
}

/** Starts the server, waits until it answers, prints where, and ends with it. */
export async function serve({ port, dataFolder }) {
  // Set to nothing it counts as not set: no interface but this machine's own is opened by a mistake.
  const host = process.env.OCTACHORD_HOST?.trim() || "127.0.0.1";
  if (!LOOPBACK.has(host)) whyNotOpen(process.env.OCTACHORD_PASSPHRASE ?? "");
  await ensureFreePort(port, host);
  const https = wantsHttps() ? await httpsWords(dataFolder) : null;
  // The server closes its database itself when it gets the signal to stop.
  const env = {
    ...process.env,
    OCTACHORD_DATA: dataFolder,
    OCTACHORD_HTTPS: https === null ? "" : "1",
    NEXT_TELEMETRY_DISABLED: "1",
    NEXT_MANUAL_SIG_HANDLE: "true",
  };
  const child = spawn(process.execPath, [join(root, "scripts", "serve.mjs"), host, String(port)], {
    cwd: root,
    env,
    stdio: ["ignore", "ignore", "inherit"],
  });
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill(signal));
  child.on("exit", (code) => process.exit(code ?? 0));
  for (let tries = 0; tries < 240; tries += 1) {
    if (child.exitCode === null && (await isListening(port, host)))
      return console.log(`Octachord is ready: ${https === null ? "http" : "https"}://${host}:${port}${https ?? ""}`);
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  child.kill();
  stop("the server did not answer within a minute; the lines above say what it was doing.");
}

/** Whether somebody takes connections at a port; the server does when everything else is ready. */
const isListening = (port, host) =>
  new Promise((resolve) => {
    const probe = connect({ port, host: host === "0.0.0.0" || host === "::" ? "127.0.0.1" : host });
    probe.once("connect", () => resolve(true)).once("error", () => resolve(false));
    probe.once("close", () => probe.destroy());
    probe.setTimeout(1000, () => resolve(false));
    probe.once("connect", () => probe.end());
  });

/** HTTPS is asked for by a certificate, or by OCTACHORD_HTTPS for one that is made here. */
const wantsHttps = () => Boolean(process.env.OCTACHORD_HTTPS || process.env.OCTACHORD_CERT || process.env.OCTACHORD_KEY);

/** What is to be said of the certificate; it is made where there is none yet. */
async function httpsWords(dataFolder) {
  const { certificateOf, fingerprintOf } = await import("./https.mjs");
  try {
    const { cert, madeHere } = await certificateOf(dataFolder);
    if (!madeHere) return "";
    return `\nIts certificate was made on this machine, so browsers warn of it once. Compare the fingerprint there:\n${fingerprintOf(cert)}`;
  } catch (error) {
    return stop(`HTTPS cannot be offered: ${error.message}`);
  }
}

const LOOPBACK = new Set(["127.0.0.1", "localhost", "::1"]);
const SHORTEST_PASSPHRASE = 10;

/** A server that others reach wants a passphrase that is not guessed at once. */
function whyNotOpen(passphrase) {
  if (passphrase.replace(/\s/g, "").length >= SHORTEST_PASSPHRASE) return;
  stop(
    `OCTACHORD_HOST opens the server to others; set OCTACHORD_PASSPHRASE to at least ${SHORTEST_PASSPHRASE} characters other than blanks, or leave OCTACHORD_HOST unset.`,
  );
}

/** Ends with a sentence where another program has the port. */
function ensureFreePort(port, host) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once("error", (error) =>
      stop(
        error.code === "EADDRINUSE"
          ? `port ${port} is in use by another program; stop that one, or set PORT to another number.`
          : `port ${port} on ${host} cannot be opened: ${error.message}.`,
      ),
    );
    probe.listen(port, host, () => probe.close(resolve));
  });
}

export const portFromEnvironment = () => {
  const port = Number(process.env.PORT ?? 4173);
  if (!Number.isInteger(port) || port < 1 || port > 65535) stop(`PORT: expected a number from 1 to 65535, found “${process.env.PORT}”.`);
  return port;
};
