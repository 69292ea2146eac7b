import { expect, type Locator, type Page } from '@playwright/test'

export const PHONE = { width: 390, height: 844 } as const

/** Tests of a pond that does well. */
const USUAL: Readonly<Record<string, string>> = {
  'Water temperature': '9',
  pH: '7.4',
  'Total ammonia (TAN)': '0.1',
  Nitrite: '0.05',
  KH: '6',
  'Tap temperature': '9',
  'Tap chlorine': '0.3',
  'Dissolved oxygen': '9',
  'Free chlorine': '0',
  'Water changed': '0',
}

/** The step at hand of a visit on a phone, spoken to in the crew's words. */
export class StepAtHand {
  readonly card: Locator
  constructor(readonly page: Page) {
    this.card = page.getByRole('region', { name: 'Current step' })
  }

  async is(title: string | RegExp): Promise<void> {
    await expect(this.card.getByRole('heading', { level: 2 })).toHaveText(title)
  }

  async title(): Promise<string> {
    return (await this.card.getByRole('heading', { level: 2 }).textContent()) ?? ''
  }

  async done(): Promise<void> {
    await this.card.getByRole('button', { name: /^(Done|Correct answer|Log this round|Log another round)$/ }).click()
  }

  async leaveOut(reason: string): Promise<void> {
    await this.card.getByRole('button', { name: 'Skip step' }).click()
    await this.card.getByLabel('Reason for skipping').fill(reason)
    await this.card.getByRole('button', { name: 'Skip step' }).click()
  }

  /** Takes a photo; `image` is what the camera gives. */
  async photo(image: Buffer): Promise<void> {
    await this.card.getByLabel('Take photo').setInputFiles({ name: 'p.jpg', mimeType: 'image/jpeg', buffer: image })
    await expect(this.card.getByRole('img', { name: /^Photo \d+ of this step/ }).first()).toBeVisible()
  }

  /**
   * Answers what stands: photos taken, decisions made, tests filled in, fish counted, someone told; a step that is
   * stopped is left out.
   */
  async answer(image: Buffer, tests: Readonly<Record<string, string>> = {}): Promise<void> {
    const title = await this.title()
    if ((await this.card.getByLabel('Take photo').count()) > 0) await this.photo(image)
    const choice = this.card.getByRole('radio')
    if ((await choice.count()) > 0) await choice.first().check()
    for (const [label, value] of Object.entries({ ...USUAL, ...tests }))
      for (const field of await this.card
        .getByLabel(label, { exact: true })
        .or(this.card.getByLabel(new RegExp(`^${label.replace(/[()]/g, '\\$&')}`)))
        .all())
        if ((await field.inputValue()) === '') await field.fill(value)
    for (const field of await this.card
      .getByLabel(/^(Koi|Goldfish|Shubunkin|Orfe|Sturgeon|Tench|Rudd|Small|Rice)/)
      .all())
      await field.fill('3')
    const told = this.card.getByLabel('Who was told')
    if ((await told.count()) > 0) await told.fill('The customer')
    const done = this.card.getByRole('button', { name: /^(Done|Log this round)$/ })
    if (await done.isEnabled()) {
      await done.click()
      const again = this.card.getByRole('button', { name: 'Confirm this reading' })
      const stays = this.card.getByRole('heading', { name: title, exact: true })
      await expect(stays.or(again).first())
        .toBeVisible({ timeout: 300 })
        .catch(() => undefined)
      if (await again.isVisible()) await again.click()
      // the card goes with the last step: what is asked here must not wait for it
      if ((await stays.count()) > 0 && (await this.card.getByRole('alert').count()) > 0)
        await this.leaveOut('Cannot be done today')
    } else await this.leaveOut('Has to wait')
    await expect(this.card.getByRole('heading', { name: title, exact: true })).toHaveCount(0)
  }

  /** Goes on until a step of this title is at hand: photos are taken, the rest is left out. */
  async passUntil(title: string | RegExp, image: Buffer): Promise<void> {
    const wanted = (text: string) => (typeof title === 'string' ? text === title : title.test(text))
    for (let i = 0; i < 60; i++) {
      const now = await this.title()
      if (wanted(now)) return
      if ((await this.card.getByLabel('Take photo').count()) > 0) {
        await this.photo(image)
        await this.done()
      } else await this.leaveOut('Not part of this test')
      await expect(
        this.card.getByRole('heading', { level: 2 }).or(this.page.getByText('All steps are done')),
      ).not.toHaveText(now)
    }
    throw new Error(`No step “${String(title)}” came`)
  }
}

/** The field sheet is kept by the service worker, so that it opens without signal. */
export async function keptOnDevice(page: Page): Promise<void> {
  await page.goto('/field')
  await expect(page.getByText(/^All sent/)).toBeVisible()
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
    for (let i = 0; i < 100; i++) {
      const names = await caches.keys()
      const shell = names.find((n) => n.startsWith('field-shell-'))
      if (shell && (await (await caches.open(shell)).match('/field'))) return
      await new Promise((r) => setTimeout(r, 100))
    }
    throw new Error('The field sheet was not kept')
  })
}
