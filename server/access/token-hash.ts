import { createHash } from "node:crypto";

/** What is kept of a random token: whoever reads it cannot sign in with it. */
export const hashed = (token: string): string => createHash("sha256").update(token).digest("base64url");
