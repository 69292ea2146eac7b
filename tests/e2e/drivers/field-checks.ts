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

/** What another theme can break: colours. The rest of a view is the same in all of them. */
const COLOUR_RULES = ['color-contrast', 'link-in-text-block']

/** What axe finds serious or worse on a page. @param coloursOnly only what a theme can break */
export async function seriousOn(page: Page, coloursOnly = false): Promise<string[]> {
  // no page has frames: axe need not begin a page of its own for them, nor tell of what is well
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
  const { violations } = await (coloursOnly ? axe.withRules(COLOUR_RULES) : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'])).analyze()
  return violations.filter((v) => v.impact === 'serious' || v.impact === 'critical').map((v) => `${v.id}: ${v.nodes[0].html} (${v.nodes.length})`)
}
