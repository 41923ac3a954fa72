import { Access } from "./access";

/** The name of the cookie of a session. */
export const COOKIE = "octachord";
const COOKIE_SECONDS = 30 * 86_400;

const held = globalThis as typeof globalThis & { octachordAccess?: Access };

/** Whether somebody has to sign in. */
export const needsSignIn = (): boolean => Boolean(process.env.OCTACHORD_PASSPHRASE);

/** Opens the gate's book at the start, where a passphrase is set. */
export async function openAccess(folder: string): Promise<void> {
  const passphrase = process.env.OCTACHORD_PASSPHRASE;
  if (passphrase) held.octachordAccess = await Access.open(folder, passphrase);
}

/** Who may come in; null before the server has started, and where no passphrase is set. */
export const accessOfServer = (): Access | null => held.octachordAccess ?? null;

/** Whether a request with a cookie may see what is kept. */
export const isLetIn = (cookie: string | undefined): boolean => !needsSignIn() || Boolean(accessOfServer()?.sessionOf(cookie));

/** The header that gives a browser the cookie of a session, or takes it away. */
export const cookieHeader = (value: string | null): string =>
  [
    `${COOKIE}=${value ?? ""}`,
    "Path=/",
    "HttpOnly",
    "SameSite=Strict",
    `Max-Age=${value === null ? 0 : COOKIE_SECONDS}`,
    ...(process.env.OCTACHORD_HTTPS ? ["Secure"] : []),
  ].join("; ");

/** The value of the session's cookie among those of a request. */
export function cookieOf(header: string | null): string | undefined {
  const found = (header ?? "").split(";").map((part) => part.trim().split("="));
  return found.find(([name]) => name === COOKIE)?.[1];
}
