/// <reference lib="webworker" />
import { SHARE_LOST, SHARE_PATH } from '@/domain/field/share-target'
import { keepShared } from '@/ui/field/device/shared-pictures'
import { SYNC_TAG, syncNow } from '@/ui/field/device/sync-now'
import { CacheFirst, CacheableResponsePlugin, ExpirationPlugin, Serwist, type PrecacheEntry } from 'serwist'

declare const self: ServiceWorkerGlobalScope

/** Not yet among the types of web workers. */
interface SyncEvent extends ExtendableEvent {
  readonly tag: string
  readonly lastChance: boolean
}

/** Files of the built app that the field sheet needs; put in when the app is built. */
declare const FIELD_FILES: readonly string[]
/** Changes with every build, so that a new program brings its new page with it. */
declare const BUILD: string

const PHOTOS_KEPT = 300

/** The page holds nothing of anybody: it is the same for every visit and every person. */
const SHELL = '/field'
const SHELL_CACHE = `field-shell-${BUILD}`

const entries: PrecacheEntry[] = FIELD_FILES.map((url) => ({ url, revision: null }))

const serwist = new Serwist({
  precacheEntries: entries,
  precacheOptions: { cleanupOutdatedCaches: true },
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, url, sameOrigin }) => sameOrigin && request.mode === 'navigate' && url.pathname === SHELL,
      // what is on the device opens at once, whatever the signal; a new build brings its own page
      handler: async ({ request }) => (await fromShell()) ?? fetchShell(request),
    },
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/api/v1/photos/'),
      handler: new CacheFirst({
        cacheName: 'field-photos',
        plugins: [new CacheableResponsePlugin({ statuses: [200] }), new ExpirationPlugin({ maxEntries: PHOTOS_KEPT })],
      }),
    },
    {
      // anything else of the build that a page asks for, such as a part that is loaded later
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_next/static/'),
      handler: new CacheFirst({
        cacheName: `field-parts-${BUILD}`,
        plugins: [new CacheableResponsePlugin({ statuses: [200] })],
      }),
    },
  ],
})

const fromShell = async (): Promise<Response | undefined> => (await caches.open(SHELL_CACHE)).match(SHELL)

/** The page from the server; kept when it is the field sheet and not the door. */
async function fetchShell(request: RequestInfo): Promise<Response> {
  const response = await fetch(request)
  if (response.ok && !response.redirected) await (await caches.open(SHELL_CACHE)).put(SHELL, response.clone())
  return response
}

// pictures that other apps share come as a form; they stay on the device, and the page opens that asks what they are of
self.addEventListener('fetch', (event) => {
  const { method, url } = event.request
  if (method !== 'POST' || new URL(url).pathname !== SHARE_PATH) return
  event.respondWith(
    event.request
      .formData()
      .then((form) => keepShared(form))
      // a device that is full says so; the pictures are still where they were shared from
      .then(
        () => Response.redirect(SHELL, 303),
        () => Response.redirect(SHARE_LOST, 303),
      ),
  )
})
self.addEventListener('install', (event) => {
  // without it the first page that is opened brings it
  event.waitUntil(fetchShell(new Request(SHELL, { credentials: 'same-origin' })).catch(() => undefined))
})
self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      const old = (await caches.keys()).filter((name) => /^field-(shell|parts)-/.test(name) && !name.endsWith(BUILD))
      await Promise.all(old.map((name) => caches.delete(name)))
    })(),
  )
})
self.addEventListener('sync', (event) => {
  const { tag } = event as SyncEvent
  if (tag !== SYNC_TAG) return
  ;(event as SyncEvent).waitUntil(
    syncNow().then((outcome) => {
      // the browser tries again later
      if (outcome === 'no-signal') throw new Error('no signal')
    }),
  )
})
serwist.addEventListeners()
