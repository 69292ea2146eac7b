import { may, type Right, type Role } from '@/domain/people/roles'
import { type TextId, textId } from '@/ui/kit/texts'

export interface PondTab {
  readonly key: string
  /** Below the pond's own address. */
  readonly path: string
  readonly label: TextId
  readonly right?: Right
  /** Pages that belong to it besides its own. */
  readonly covers: readonly string[]
}

const TABS: readonly PondTab[] = [
  { key: 'overview', path: '', label: textId('ponds.workspace.overview'), covers: [] },
  { key: 'survey', path: '/survey', label: textId('ponds.workspace.survey'), right: 'ponds.write', covers: ['/site'] },
  { key: 'filter', path: '/design', label: textId('ponds.workspace.filter'), covers: [] },
  {
    key: 'water',
    path: '/water',
    label: textId('ponds.workspace.water'),
    covers: ['/doses', '/diagnosis', '/forecast', '/what-if', '/start-up'],
  },
  { key: 'plants', path: '/plants', label: textId('ponds.workspace.plants'), covers: [] },
  { key: 'equipment', path: '/equipment', label: textId('ponds.workspace.equipment'), covers: [] },
  {
    key: 'visits',
    path: '/visits',
    label: textId('ponds.workspace.visits'),
    covers: ['/plan', '/service-plan', '/rescue'],
  },
  { key: 'files', path: '/files', label: textId('ponds.workspace.files'), covers: [] },
]

/** The parts of a pond's workspace that a role may open. */
export const pondTabs = (role: Role): readonly PondTab[] => TABS.filter(({ right }) => !right || may(role, right))

/** Whether a page below a pond's address belongs to a tab. */
export const isOfTab = ({ path, covers }: PondTab, below: string): boolean => below === path || covers.includes(below)

/** What the water of a pond is looked at by, and what its visits are arranged by: the pages of those two tabs. */
export const SUB_PAGES: Readonly<Record<string, readonly Pick<PondTab, 'path' | 'label' | 'right'>[]>> = {
  survey: [
    { path: '/survey', label: textId('ponds.workspace.pondSurvey') },
    { path: '/site', label: textId('ponds.workspace.siteSurvey') },
  ],
  water: [
    { path: '/water', label: textId('ponds.workspace.tests') },
    { path: '/doses', label: textId('ponds.workspace.doses') },
    { path: '/diagnosis', label: textId('ponds.workspace.diagnose') },
    { path: '/forecast', label: textId('ponds.workspace.forecast') },
    { path: '/what-if', label: textId('ponds.workspace.whatIf') },
    { path: '/start-up', label: textId('ponds.workspace.startUp') },
  ],
  visits: [
    { path: '/visits', label: textId('ponds.workspace.history') },
    { path: '/plan', label: textId('ponds.workspace.scheduleVisit'), right: 'visits.plan' },
    { path: '/service-plan', label: textId('ponds.workspace.servicePlan'), right: 'visits.plan' },
    { path: '/rescue', label: textId('ponds.workspace.rescue'), right: 'visits.plan' },
  ],
}
