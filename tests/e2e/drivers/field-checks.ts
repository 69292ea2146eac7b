import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'

/** Nothing a thumb has to hit is smaller than 48 px. */
export async function smallTargets(page: Page): Promise<string[]> {
  return page
    .locator('a:visible, button:visible, summary:visible, select:visible, main input:visible:not([type=file]):not([type=radio]):not([type=checkbox])')
    .evaluateAll((all) =>
      all
        .filter((e) => e.getBoundingClientRect().height < 47.5)
        .map((e) => `${e.tagName} ${e.textContent?.trim().slice(0, 30)} ${e.getBoundingClientRect().height}`),
    )
}

/** What axe finds serious or worse on a page. */
export const seriousOn = async (page: Page) =>
  (await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']).analyze()).violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes[0].html}`)
