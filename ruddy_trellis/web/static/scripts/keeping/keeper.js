// Stands between the pages that are shared by link and the server: a page that was opened before comes without a line, too, with the files
// that it needs. It keeps nothing else, and the server has the first word.

const NAME = "shared by link";
/** How long the server is waited for where the page is kept here, milliseconds. */
const PATIENCE = 4000;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));
self.addEventListener("message", (event) => event.waitUntil(keep(event.data)));
self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== "GET" || origin !== self.location.origin) return;
  if (request.mode === "navigate") event.respondWith(page(request));
  else if (isFile(pathname)) event.respondWith(file(request));
});

/** Whether what has that address is the same for good. */
function isFile(pathname) {
  return pathname.startsWith("/static/") || pathname.includes("/photographs/");
}

async function page(request) {
  const cache = await caches.open(NAME);
  const kept = await cache.match(request.url);
  const asked = fetch(request);
  try {
    const late = new Promise((_, fail) => setTimeout(fail, PATIENCE));
    const answer = await (kept ? Promise.race([asked, late]) : asked);
    if ([401, 404, 410].includes(answer.status)) await forget(cache, new URL(request.url).pathname); // it is shared no longer
    return answer;
  } catch {
    asked.catch(() => {});
    return kept ?? Response.error();
  }
}

async function forget(cache, address) {
  for (const key of await cache.keys()) if (`${new URL(key.url).pathname}/`.startsWith(`${address}/`)) await cache.delete(key);
}

async function file(request) {
  return (await (await caches.open(NAME)).match(request.url)) ?? fetch(request);
}

/** Keep a page and its files. Of another version of the program nothing is kept any more. */
async function keep({ page, files, version }) {
  const cache = await caches.open(NAME);
  const isOld = ({ url }) => new URL(url).pathname.startsWith("/static/") && !url.includes(version);
  const keys = await cache.keys();
  if (keys.some(isOld))
    await Promise.all(keys.filter(({ url }) => !new URL(url).pathname.endsWith("/copy")).map((key) => cache.delete(key)));
  for (const address of files) if (!(await cache.match(address))) await cache.add(address).catch(() => {});
  await cache.add(page).catch(() => {});
}
