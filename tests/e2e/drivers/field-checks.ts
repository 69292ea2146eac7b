import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'

/** Nothing a thumb has to hit is smaller than 48 px. */
export async function smallTargets(page: Page): Promise<string[]> {
  return page
    .locator(
      'a:visible, button:visible, summary:visible, select:visible, main input:visible:not([type=file]):not([type=radio]):not([type=checkbox])',
    )
    .evaluateAll((all) =>
      all
        .filter((e) => e.getBoundingClientRect().height < 47.5)
        .map((e) => `${e.tagName} ${e.textContent?.trim().slice(0, 30)} ${e.getBoundingClientRect().height}`),
    )
}

/** What another theme can break: colours. The rest of a view is the same in all of them. */
const COLOUR_RULES = ['color-contrast', 'link-in-text-block']

/** Rows of one list are of one make: so many of them are looked at; hundreds would take minutes. */
const ROWS_LOOKED_AT = 15
const FOLDED = ['tbody > tr', '[role=row]', 'ul > li', 'ol > li']
  .map((row) => `${row}:nth-child(n + ${ROWS_LOOKED_AT + 1})`)
  .join(', ')

/** Where a pin stands on a map, or a visit in the year, is what it says: how near the next is is not ours to choose. */
const PLACED_BY_WHAT_IT_SAYS = /leaflet-marker-icon|season-(visit|window)/

/** What axe finds serious or worse on a page. @param coloursOnly only what a theme can break */
export async function seriousOn(page: Page, coloursOnly = false): Promise<string[]> {
  // no page has frames: axe need not begin a page of its own for them, nor tell of what is well
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
  const fold = await page.addStyleTag({ content: `${FOLDED} { display: none !important }` })
  const { violations } = await (
    coloursOnly ? axe.withRules(COLOUR_RULES) : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
  ).analyze()
  await fold.evaluate((style) => (style as HTMLElement).remove())
  return violations
    .map((v) =>
      v.id === 'target-size' ? { ...v, nodes: v.nodes.filter(({ html }) => !PLACED_BY_WHAT_IT_SAYS.test(html)) } : v,
    )
    .filter((v) => v.nodes.length > 0)
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes[0]!.html} (${v.nodes.length})`)
}
