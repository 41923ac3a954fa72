// Keeps the pages of a visit on this device, so that a run sheet that was opened once loads again without a network. The server is always asked
// first; what is kept answers only where it does not, or not in time. Tests: e2e/visit.spec.ts.

const [PAGES, PARTS] = ["octachord-pages-1", "octachord-parts-1"];
/** The page of a place of a job. */
const PAGE = /^\/jobs\/[0-9a-f-]{36}\/[a-z]+$/;
/** Files whose names change with their content. */
const PART = /^\/(_next\/static|icons)\//;
const [MOST_PAGES, MOST_PARTS, PATIENCE_MS] = [60, 600, 4000];

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => {
  const old = async () => {
    for (const name of await caches.keys())
      if (name.startsWith("octachord-") && name !== PAGES && name !== PARTS) await caches.delete(name);
    await self.clients.claim();
  };
  event.waitUntil(old());
});

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin) return;
  if (PART.test(url.pathname)) event.respondWith(part(request));
  else if (request.mode === "navigate" && PAGE.test(url.pathname)) event.respondWith(page(event, request, url.pathname));
});

/** A page that is open says which others are wanted without a network. */
self.addEventListener("message", (event) => {
  const paths = Array.isArray(event.data?.keep) ? event.data.keep.filter((path) => PAGE.test(path)) : [];
  const keepAll = async () => {
    for (const path of paths) await keepPage(path, await fetch(path)).catch(() => undefined);
  };
  event.waitUntil(keepAll().catch(() => undefined));
});

/** From the server; from what is kept where the server is away or too slow. */
async function page(event, request, path) {
  const asked = fetch(request).then(async (answer) => {
    event.waitUntil(keepPage(path, answer.clone()));
    return answer;
  });
  const patience = new Promise((resolve) => setTimeout(resolve, PATIENCE_MS)).then(() => caches.match(path, { cacheName: PAGES }));
  const first = await Promise.race([asked.catch(() => undefined), patience]);
  return first ?? (await caches.match(path, { cacheName: PAGES })) ?? asked;
}

/** A page that the server gave is kept with the files it names; one that it no longer gives is forgotten, as are all after signing out. */
async function keepPage(path, answer) {
  const pages = await caches.open(PAGES);
  if (answer.type === "opaqueredirect" || answer.redirected || answer.status === 401) await caches.delete(PAGES);
  else if (answer.status === 404) await pages.delete(path);
  else if (answer.ok) {
    const text = await answer.clone().text();
    await pages.put(path, answer);
    await keepAtMost(pages, MOST_PAGES);
    const parts = new Set(text.match(/\/_next\/static\/[\w./~-]+?\.(?:js|css|woff2)/g) ?? []);
    await Promise.all([...parts].map((name) => part(new Request(name)).catch(() => undefined)));
  }
}

/** A file that never changes: from what is kept, else from the server. */
async function part(request) {
  const kept = await caches.match(request, { cacheName: PARTS });
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) {
    const parts = await caches.open(PARTS);
    await parts.put(request, answer.clone());
    await keepAtMost(parts, MOST_PARTS);
  }
  return answer;
}

async function keepAtMost(cache, most) {
  const keys = await cache.keys();
  for (const oldest of keys.slice(0, Math.max(0, keys.length - most))) await cache.delete(oldest);
}
