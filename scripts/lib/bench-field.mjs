// How the field sheet does without signal and on a slow link, measured in the browser of a phone.
const VISITS = 12
const LINES_EACH = 30
/** A poor mobile link: bytes a second each way, and milliseconds until an answer begins. */
const SLOW_LINK = { offline: false, latency: 400, downloadThroughput: 50_000, uploadThroughput: 50_000 }
const SLOW_CPU = 4
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }

/** @returns milliseconds of each opening without signal, and of the sync of a day's log */
export async function measureField(chromium, address, cookie, { openings = 5 } = {}) {
  const browser = await chromium()
  try {
    const context = await browser.newContext({ ...PHONE, serviceWorkers: 'allow' })
    const [name, value] = cookie.split('=')
    await context.addCookies([{ name, value, url: address }])
    const page = await context.newPage()
    await page.goto(`${address}/field`)
    await page.getByText(/^All sent/).waitFor()
    await page.evaluate(shellIsKept)

    const device = await context.newCDPSession(page)
    await device.send('Emulation.setCPUThrottlingRate', { rate: SLOW_CPU })
    await context.setOffline(true)
    const openMs = []
    for (let i = 0; i < openings; i++) {
      const started = performance.now()
      await page.goto(`${address}/field`)
      await page
        .getByRole('link', { name: /the visit|the sheet/ })
        .first()
        .waitFor()
      openMs.push(performance.now() - started)
    }
    await device.send('Emulation.setCPUThrottlingRate', { rate: 1 })
    const lines = await page.evaluate(keepDay, { visits: VISITS, linesEach: LINES_EACH })
    await page.reload()
    await page.getByText(/No signal/).waitFor()
    await device.send('Network.enable')
    const started = performance.now()
    if (process.env.TRACE) traceRequests(page, started)
    await context.setOffline(false)
    await device.send('Network.emulateNetworkConditions', SLOW_LINK)
    // a page that is watched like this is told nothing of the signal by the browser
    await page.evaluate(() => window.dispatchEvent(new Event('online')))
    await page.getByText(/^All sent/).waitFor({ timeout: 120_000 })
    return { openMs, syncMs: performance.now() - started, lines }
  } finally {
    await browser.close()
  }
}

const traceRequests = (page, started) => {
  for (const event of ['request', 'requestfinished', 'requestfailed'])
    page.on(event, (r) => console.error(((performance.now() - started) / 1000).toFixed(2), event, r.method(), new URL(r.url()).pathname))
}

async function shellIsKept() {
  await navigator.serviceWorker.ready
  for (let i = 0; i < 100; i++) {
    const shell = (await caches.keys()).find((n) => n.startsWith('field-shell-'))
    if (shell && (await (await caches.open(shell)).match('/field'))) return
    await new Promise((r) => setTimeout(r, 100))
  }
  throw new Error('The field sheet was not kept')
}

/** Writes a day's log into the device's store, as if it had been tapped in. @returns how many lines */
async function keepDay({ visits, linesEach }) {
  const db = await new Promise((done, fail) => {
    const asked = indexedDB.open('slow-reed-field')
    asked.onsuccess = () => done(asked.result)
    asked.onerror = () => fail(asked.error)
  })
  const all = (store) =>
    new Promise((done) => {
      const asked = db.transaction(store).objectStore(store).getAll()
      asked.onsuccess = () => done(asked.result)
    })
  const { person } = (await all('facts'))[0]
  const day = (await all('visits')).filter((kept) => kept.visit.state === 'planned').slice(0, visits)
  if (day.length < visits) throw new Error(`The device holds ${day.length} visits, not ${visits}`)
  const transaction = db.transaction('lines', 'readwrite')
  let count = 0
  const keep = (visitId, entry) => {
    const id = crypto.randomUUID()
    transaction
      .objectStore('lines')
      .add({ id, visitId, userId: person.userId, entry: { ...entry, id, at: new Date().toISOString() }, state: 'waiting', problem: null })
    count++
  }
  for (const { visit } of day) {
    keep(visit.id, { kind: 'started' })
    for (let i = 2; i < linesEach; i++) keep(visit.id, { kind: 'note', stepKey: null, text: `Note ${i}: the skimmer basket was half full of leaves.` })
    keep(visit.id, { kind: 'finished', ending: 'weather', reason: 'Thunderstorm' })
  }
  await new Promise((done) => (transaction.oncomplete = done))
  return count
}
