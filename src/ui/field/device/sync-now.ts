import { DeviceDb } from './device-db'
import { httpOffice } from './office'
import { syncDevice, type SyncOutcome } from './sync-device'

let opened: DeviceDb | null = null
/** This browser's store, opened when it is first asked for. */
export const deviceDb = (): DeviceDb => (opened ??= new DeviceDb())

/** Closes the store, so that it can be forgotten. */
export function closeDeviceDb(): void {
  opened?.close()
  opened = null
}

/** Tabs and the service worker take turns, so that lines go out in their order. */
const LOCK = 'slow-reed-field-sync'

/** Forgets the pages and pictures that the field sheet keeps for work without signal. */
export async function dropCaches(): Promise<void> {
  if ('caches' in globalThis)
    for (const name of await caches.keys()) if (name.startsWith('field-')) await caches.delete(name)
}

export async function syncNow(): Promise<SyncOutcome> {
  const work = async () => {
    const outcome = await syncDevice(deviceDb(), httpOffice)
    // a device that was shut out keeps nothing of the firm: its pages and pictures go with its rounds
    if (outcome === 'shut-out') await dropCaches()
    return outcome
  }
  return navigator.locks ? navigator.locks.request(LOCK, work) : work()
}

/** What the browser wakes the service worker with when signal is back, also after the app was closed. */
export const SYNC_TAG = 'field-sync'

interface WithBackgroundSync {
  readonly sync?: { register: (tag: string) => Promise<void> }
}

/** Asks the browser to send what waits once there is signal. Browsers that cannot do it send while the app is open. */
export async function sendInBackground(): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  const registration = (await navigator.serviceWorker.getRegistration('/field')) as
    (ServiceWorkerRegistration & WithBackgroundSync) | undefined
  await registration?.sync?.register(SYNC_TAG).catch(() => undefined)
}
