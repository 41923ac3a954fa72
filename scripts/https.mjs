// The certificate for HTTPS: one that is given, or one made here.
import "reflect-metadata";
import { randomBytes, X509Certificate } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { hostname, networkInterfaces } from "node:os";
import { join } from "node:path";

const DAY_MS = 86_400_000;
/** Browsers take no certificate for longer. */
const DAYS = 397;
const RENEWED_DAYS = 30;

/**
 * The certificate and key in PEM: those that OCTACHORD_CERT and OCTACHORD_KEY name, else one made here and kept in the data folder.
 * @returns {Promise<{cert: string, key: string, madeHere: boolean}>}
 */
export async function certificateOf(dataFolder) {
  const { OCTACHORD_CERT: cert, OCTACHORD_KEY: key } = process.env;
  if (cert || key) {
    if (!cert || !key) throw new Error("OCTACHORD_CERT and OCTACHORD_KEY belong together: give the paths of both.");
    return { cert: readFileSync(cert, "utf8"), key: readFileSync(key, "utf8"), madeHere: false };
  }
  const files = { cert: join(dataFolder, "https-cert.pem"), key: join(dataFolder, "https-key.pem") };
  if (!existsSync(files.cert) || !existsSync(files.key) || isOver(readFileSync(files.cert, "utf8"))) {
    const made = await makeCertificate();
    mkdirSync(dataFolder, { recursive: true, mode: 0o700 });
    writeFileSync(files.key, made.key, { mode: 0o600 });
    writeFileSync(files.cert, made.cert, { mode: 0o600 });
  }
  return { cert: readFileSync(files.cert, "utf8"), key: readFileSync(files.key, "utf8"), madeHere: true };
}

const isOver = (pem) => Date.parse(new X509Certificate(pem).validTo) - Date.now() < RENEWED_DAYS * DAY_MS;

/** A certificate for every name and address of this machine. Source: RFC 5280 §4.2.1.6 (subject alternative name). */
async function makeCertificate() {
  const x509 = await import("@peculiar/x509");
  const algorithm = { name: "ECDSA", namedCurve: "P-256", hash: "SHA-256" };
  const keys = await crypto.subtle.generateKey(algorithm, true, ["sign", "verify"]);
  const addresses = Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map(({ address }) => address.replace(/%.*/, "")));
  const names = [
    ...["localhost", hostname()].map((value) => ({ type: "dns", value })),
    ...[...new Set(["127.0.0.1", ...addresses])].map((value) => ({ type: "ip", value })),
  ];
  const cert = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: `01${randomBytes(8).toString("hex")}`,
    name: "CN=Octachord",
    notBefore: new Date(Date.now() - DAY_MS),
    notAfter: new Date(Date.now() + DAYS * DAY_MS),
    keys,
    signingAlgorithm: algorithm,
    extensions: [new x509.BasicConstraintsExtension(false, undefined, true), new x509.SubjectAlternativeNameExtension(names)],
  });
  const key = x509.PemConverter.encode(await crypto.subtle.exportKey("pkcs8", keys.privateKey), "PRIVATE KEY");
  return { cert: `${cert.toString("pem")}\n`, key: `${key}\n` };
}

export const fingerprintOf = (pem) => new X509Certificate(pem).fingerprint256;
