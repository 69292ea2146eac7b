// How the field sheet does without signal and on a slow link, measured in the browser of a phone.
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const VISITS = 12
const LINES_EACH = 30
/** A poor mobile link: bytes a second each way, and milliseconds until an answer begins. */
const SLOW_LINK = { offline: false, latency: 400, downloadThroughput: 50_000, uploadThroughput: 50_000 }
const SLOW_CPU = 4
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }

const PHOTOS = 40
/** What a phone's camera gives. */
const CAMERA = { width: 4000, height: 3000 }
const ANSWERS = 12

/**
 * @returns milliseconds of each opening without signal, until each answer is kept, of each photo, and of the syncs of
 * photos and of a day's log
 */
export async function measureField(chromium, address, cookie, { openings = 5 } = {}) {
  const browser = await chromium()
  try {
    const context = await browser.newContext({ ...PHONE, serviceWorkers: 'allow' })
    const [name, value] = cookie.split('=')
    await context.addCookies([{ name, value, url: address }])
    const page = await context.newPage()
    await page.addInitScript(noteKeeping)
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
    await startVisit(page)
    const slowAnswerMs = await measureAnswers(page)
    await device.send('Emulation.setCPUThrottlingRate', { rate: 1 })
    const answerMs = await measureAnswers(page)
    const photoMs = await measurePhotos(page)
    await context.setOffline(false)
    const photosStarted = performance.now()
    await page.evaluate(() => window.dispatchEvent(new Event('online')))
    await page.getByText(/^All sent/).waitFor({ timeout: 120_000 })
    const photosMs = performance.now() - photosStarted
    await context.setOffline(true)
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
    return { openMs, answerMs, slowAnswerMs, photoMs, photosMs, syncMs: performance.now() - started, lines }
  } finally {
    await browser.close()
  }
}

/** In the page: when something is pressed, and when the device has written a line of the log down. */
function noteKeeping() {
  document.addEventListener('click', () => (window.pressedAt = performance.now()), true)
  const open = IDBDatabase.prototype.transaction
  IDBDatabase.prototype.transaction = function (stores, mode, ...rest) {
    const transaction = open.call(this, stores, mode, ...rest)
    if (mode === 'readwrite' && [stores].flat().includes('lines'))
      transaction.addEventListener('complete', () => {
        window.keptMs = performance.now() - window.pressedAt
      })
    return transaction
  }
}

async function startVisit(page) {
  await page.getByRole('link', { name: 'Open the visit' }).first().click()
  await page.getByRole('button', { name: 'Start the visit' }).click()
}

/** Leaves steps of a visit out one by one. @returns milliseconds from each press until it is written down */
async function measureAnswers(page) {
  const answerMs = []
  const heading = page.getByRole('region', { name: 'Step at hand' }).getByRole('heading', { level: 2 })
  for (let i = 0; i < ANSWERS; i++) {
    const title = await heading.textContent()
    await page.getByRole('button', { name: 'Leave this step out' }).click()
    await page.getByLabel('Why is it left out?').fill('Measured')
    await page.evaluate(() => (window.keptMs = undefined))
    await page.getByRole('button', { name: 'Leave it out' }).click()
    answerMs.push(await (await page.waitForFunction(() => window.keptMs)).jsonValue())
    await page.waitForFunction(
      (was) => document.querySelector('[aria-label="Step at hand"] h2')?.textContent !== was,
      title,
    )
  }
  return answerMs
}

/** Forty photos of the first step, as large as a camera makes them. */
async function measurePhotos(page) {
  const { default: sharp } = await import('sharp')
  const folder = mkdtempSync(join(tmpdir(), 'bench-photos-'))
  try {
    const noise = await sharp({ create: { ...CAMERA, channels: 3, noise: { type: 'gaussian', mean: 128, sigma: 30 } } })
      .jpeg({ quality: 80 })
      .toBuffer()
    const files = Array.from({ length: PHOTOS }, (_, i) => join(folder, `${i}.jpg`))
    for (const file of files) writeFileSync(file, noise)
    await page
      .getByText(/^Arrive/)
      .first()
      .click()
    await page.getByRole('button', { name: /^Photograph the pond as found/ }).click()
    const started = performance.now()
    await page.getByLabel('Take a photo').first().setInputFiles(files)
    await page.getByRole('img', { name: `Photo ${PHOTOS} of this step` }).waitFor({ timeout: 300_000 })
    return (performance.now() - started) / PHOTOS
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

const traceRequests = (page, started) => {
  for (const event of ['request', 'requestfinished', 'requestfailed'])
    page.on(event, (r) =>
      console.error(((performance.now() - started) / 1000).toFixed(2), event, r.method(), new URL(r.url()).pathname),
    )
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
    transaction.objectStore('lines').add({
      id,
      visitId,
      userId: person.userId,
      entry: { ...entry, id, at: new Date().toISOString() },
      state: 'waiting',
      problem: null,
    })
    count++
  }
  for (const { visit } of day) {
    keep(visit.id, { kind: 'started' })
    for (let i = 2; i < linesEach; i++)
      keep(visit.id, { kind: 'note', stepKey: null, text: `Note ${i}: the skimmer basket was half full of leaves.` })
    keep(visit.id, { kind: 'finished', ending: 'weather', reason: 'Thunderstorm' })
  }
  await new Promise((done) => (transaction.oncomplete = done))
  return count
}
