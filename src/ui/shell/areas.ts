import { may, type Right, type Role } from '@/domain/people/roles'
import { type TextId, textId } from '@/ui/kit/texts'

/** A page of the menu. */
export interface MenuPage {
  readonly href: string
  readonly label: TextId
  /** Left out where everyone has it. */
  readonly right?: Right
}

/** What belongs together in the menu; of one page it is a link, of several a list that unfolds. */
export interface MenuArea {
  readonly label: TextId
  readonly pages: readonly MenuPage[]
}

const FIELD: MenuPage = { href: '/field', label: textId('shell.areas.fieldSheet') }

/** The menu by how people work. */
const AREAS: readonly MenuArea[] = [
  { label: textId('shell.areas.today'), pages: [{ href: '/', label: textId('shell.areas.today') }] },
  {
    label: textId('shell.areas.schedule'),
    pages: [
      { href: '/season', label: textId('shell.areas.season') },
      { href: '/planning', label: textId('shell.areas.buildPlan'), right: 'visits.plan' },
      { href: '/rounds', label: textId('shell.areas.rounds') },
      { href: '/map', label: textId('shell.areas.map') },
      { href: '/plants', label: textId('shell.areas.plantCare') },
      FIELD,
    ],
  },
  { label: textId('shell.areas.ponds'), pages: [{ href: '/ponds', label: textId('shell.areas.ponds') }] },
  {
    label: textId('shell.areas.customers'),
    pages: [{ href: '/customers', label: textId('shell.areas.customers'), right: 'visits.plan' }],
  },
  {
    label: textId('shell.areas.proposals'),
    pages: [{ href: '/proposals', label: textId('shell.areas.proposals'), right: 'prices.read' }],
  },
  {
    label: textId('shell.areas.water'),
    pages: [
      { href: '/forecasts', label: textId('shell.areas.forecasts') },
      { href: '/trainer', label: textId('shell.areas.trainingPond') },
    ],
  },
  {
    label: textId('shell.areas.stores'),
    pages: [
      { href: '/stores', label: textId('shell.areas.stock') },
      { href: '/cutting', label: textId('shell.areas.linerCutting'), right: 'prices.read' },
    ],
  },
  {
    label: textId('shell.areas.settings'),
    pages: [
      { href: '/people', label: textId('shell.areas.people') },
      { href: '/house-rules', label: textId('shell.areas.houseRules'), right: 'prices.read' },
      { href: '/visit-types', label: textId('shell.areas.visitTypes') },
      { href: '/trust', label: textId('shell.areas.trust'), right: 'houseRules.write' },
      { href: '/prices', label: textId('shell.areas.pricesAndPumps'), right: 'prices.read' },
      { href: '/messages', label: textId('shell.areas.messages'), right: 'visits.plan' },
      { href: '/import-export', label: textId('shell.areas.importAndExport'), right: 'visits.plan' },
    ],
  },
]

/** Those who work at the water rather than at the desk have their day's sheet at hand, not inside a list. */
const worksOutdoors = (role: Role): boolean => !may(role, 'ponds.write')

/** The menu of a role: what it may not open is not shown, and an area of which nothing is left is gone. */
export function menuOf(role: Role): readonly MenuArea[] {
  const areas = AREAS.map((area) => ({
    ...area,
    pages: area.pages.filter(
      (page) => (!page.right || may(role, page.right)) && !(worksOutdoors(role) && page === FIELD),
    ),
  })).filter((area) => area.pages.length > 0)
  if (!worksOutdoors(role)) return areas
  return [areas[0]!, { label: FIELD.label, pages: [FIELD] }, ...areas.slice(1)]
}

/** Whether an address lies at or below that of a page. */
export const isWithin = (path: string, href: string): boolean =>
  href === '/' ? path === '/' : path === href || path.startsWith(`${href}/`)
