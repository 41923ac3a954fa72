import { networkInterfaces } from "node:os";

const EVERYWHERE = new Set(["0.0.0.0", "::"]);

/**
 * The addresses by which other devices of the local network reach this server; none where it answers this machine alone.
 * @param host what it listens on, as OCTACHORD_HOST names it
 * @param asked scheme and port by which it was asked
 */
export function ownAddresses(host: string | undefined, asked: { readonly scheme: string; readonly port: string }): readonly string[] {
  if (!host) return [];
  const names = EVERYWHERE.has(host) ? addressesOfMachine() : [host.includes(":") ? `[${host}]` : host];
  return names.map((name) => `${asked.scheme}://${name}${asked.port ? `:${asked.port}` : ""}`);
}

/** A local network hands out IPv4 addresses wherever a phone is let in; those of this machine itself lead nowhere else. */
const addressesOfMachine = (): readonly string[] =>
  Object.values(networkInterfaces())
    .flatMap((addresses) => addresses ?? [])
    .filter(({ family, internal, address }) => family === "IPv4" && !internal && !address.startsWith("169.254."))
    .map(({ address }) => address);
