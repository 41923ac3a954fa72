import { NextResponse, type NextRequest } from "next/server";
import { COOKIE, isLetIn } from "@/server/access";

const LOCAL = new Set(["127.0.0.1", "localhost", "[::1]"]);

/** The gate of every request: known host, same origin on writes, a session where a passphrase is set, and a strict content policy on pages. */
export function proxy(request: NextRequest): NextResponse {
  const refusal = whyNotServe(request);
  if (refusal) return refusal;
  if (request.nextUrl.pathname.startsWith("/api/")) return NextResponse.next();
  const nonce = Buffer.from(crypto.randomUUID()).toString("base64");
  const policy = contentPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set("Content-Security-Policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("Content-Security-Policy", policy);
  response.headers.set("X-Content-Type-Options", "nosniff");
  response.headers.set("Referrer-Policy", "no-referrer");
  return response;
}

function contentPolicy(nonce: string): string {
  const script = process.env.NODE_ENV === "development" ? "'unsafe-eval'" : "";
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' ${script}`,
    // Component styles are made at run time; they can colour a page but not run anything.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
}

function whyNotServe(request: NextRequest): NextResponse | null {
  const host = request.headers.get("host") ?? "";
  // A page elsewhere must not reach this server under a name of its own that points here.
  if (!process.env.OCTACHORD_HOST && !LOCAL.has(host.replace(/:\d+$/, "")))
    return refuse(421, "Unknown host", "This server answers to 127.0.0.1 only.");
  const reads = request.method === "GET" || request.method === "HEAD" || request.method === "OPTIONS";
  const origin = request.headers.get("origin");
  const site = request.headers.get("sec-fetch-site");
  const foreign =
    (origin !== null && URL.canParse(origin) && new URL(origin).host !== host) ||
    origin === "null" ||
    (site !== null && site !== "same-origin" && site !== "none");
  if (!reads && foreign) return refuse(403, "Other origin", "Writing is allowed from Octachord’s own pages only.");
  return whyNotSignedIn(request);
}

/** What is open to whoever is not signed in: the way in. */
const WAYS_IN: ReadonlySet<string> = new Set(["/sign-in", "/api/session"]);

/** A page leads to the way in, and back afterwards; everything else is refused. */
function whyNotSignedIn({ nextUrl, cookies, headers }: NextRequest): NextResponse | null {
  const { pathname, search } = nextUrl;
  if (WAYS_IN.has(pathname) || isLetIn(cookies.get(COOKIE)?.value)) return null;
  if (pathname.startsWith("/api/")) return refuse(401, "Not signed in", "Sign in with the passphrase of this Octachord first.");
  // By the name under which it was asked for: a cookie belongs to that.
  const wayIn = new URL("/sign-in", `${headers.get("x-forwarded-proto") ?? "http"}://${headers.get("host") ?? nextUrl.host}`);
  wayIn.searchParams.set("next", `${pathname}${search}`);
  return new NextResponse(null, { status: 303, headers: { Location: wayIn.toString() } });
}

const refuse = (status: number, title: string, detail: string): NextResponse =>
  NextResponse.json({ type: "about:blank", status, title, detail }, { status, headers: { "Content-Type": "application/problem+json" } });

export const config = { matcher: [{ source: "/((?!_next/static|favicon.ico|icon.svg|icons/|visit-worker.js|manifest.webmanifest).*)" }] };
