/**
 * Keeps what was opened once readable without a connection: the application itself, and the server's
 * last answers. What is asked of the server goes to the server first; only when it cannot be reached,
 * or says nothing for a while, is the last answer given, marked with when it was fetched.
 */
const shell = 'wide-fern-shell';
const answers = 'wide-fern-answers';
const mostAnswers = 300;
const mostAssets = 400;
/** So long the server may be silent where there is an answer to fall back on, in ms. */
const patience = 4000;
/** When an answer was fetched; the page says so. */
const keptAt = 'X-Kept-At';

self.addEventListener('install', (event) => {
  event.waitUntil(self.skipWaiting());
});
self.addEventListener('activate', (event) => {
  event.waitUntil(self.clients.claim());
});

/** The oldest go first. */
async function keepFew(name, most) {
  const cache = await caches.open(name);
  const keys = await cache.keys();
  await Promise.all(keys.slice(0, Math.max(0, keys.length - most)).map((key) => cache.delete(key)));
}

async function keep(name, request, response, most) {
  // A page that is left calls off what it had asked for: until all of it is here, what was kept stays.
  const { status, headers } = response;
  const body = await response.blob();
  const cache = await caches.open(name);
  // In the place of the older one, at once: in no moment is there neither.
  await cache.put(request, new Response(body, { status, headers }));
  await keepFew(name, most);
}

/** Files named by what is in them never change. */
async function asset(request) {
  const found = await caches.match(request, { cacheName: shell });
  if (found) return found;
  const response = await fetch(request);
  if (response.ok) await keep(shell, request, response.clone(), mostAssets);
  return response;
}

/** The server's answer, or after a while the one that is kept. */
async function fresh(request, key, name, most) {
  const kept = await caches.match(key, { cacheName: name });
  const asked = fetch(request).then(async (response) => {
    if (response.ok && isKept(response)) await keep(name, key, stamped(response.clone()), most);
    return response;
  });
  if (!kept) return asked;
  let timer;
  const silence = new Promise((done) => {
    timer = setTimeout(() => done(kept), patience);
  });
  try {
    return await Promise.race([asked, silence]);
  } catch {
    return kept;
  } finally {
    clearTimeout(timer);
    asked.catch(() => undefined);
  }
}

/** Streams and files are not kept. */
const isKept = (response) => /json|html/.test(response.headers.get('Content-Type') ?? '');

function stamped(response) {
  const headers = new Headers(response.headers);
  headers.set(keptAt, new Date().toISOString());
  return new Response(response.body, { status: response.status, headers });
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (url.pathname.startsWith('/assets/')) event.respondWith(asset(request));
  else if (request.mode === 'navigate') event.respondWith(fresh(request, '/', shell, mostAssets));
  else if (
    url.pathname.startsWith('/api/') &&
    // A screen that follows by a code keeps nothing: it is anybody's.
    !url.pathname.startsWith('/api/followed/') &&
    // A recording is to be gone when its time is over.
    !url.pathname.endsWith('/recording') &&
    !/event-stream/.test(request.headers.get('Accept'))
  ) {
    event.respondWith(fresh(request, request.url, answers, mostAnswers));
  }
});

/** Where something was stored lately. */
const changed = new Set();
let renewing;

/** A moment after something was stored, what is kept of it and of what holds it is fetched anew: a closed tab asks no more. */
function renew(path) {
  changed.add(path);
  renewing ??= new Promise((done) => setTimeout(done, 1500)).then(async () => {
    const paths = [...changed];
    changed.clear();
    renewing = undefined;
    const cache = await caches.open(answers);
    for (const key of await cache.keys()) {
      const { pathname } = new URL(key.url);
      if (!paths.some((one) => one === pathname || one.startsWith(`${pathname}/`))) continue;
      const response = await fetch(key.url);
      if (response.ok) await keep(answers, key.url, stamped(response), mostAnswers);
    }
  });
  return renewing;
}

/** What was stored, or what the page had loaded before this was here. */
self.addEventListener('message', (event) => {
  const { assets = [], stored } = event.data ?? {};
  if (stored !== undefined) {
    event.waitUntil(renew(stored).catch(() => undefined));
    return;
  }
  event.waitUntil(
    Promise.all([
      fetch('/').then((response) => keep(shell, '/', stamped(response), mostAssets)),
      ...assets.map((url) => asset(new Request(url))),
    ]).catch(() => undefined),
  );
});
