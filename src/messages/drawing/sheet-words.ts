import type { FlowSheetInput } from '@/core/drawing/flow-sheet'
import type { SheetWords } from '@/core/drawing/sheet'
import { speciesName } from '@/messages/plants/species-name'
import { numberOfKind, type SiteObject, type SiteObjectKind } from '@/core/site-plan/site-survey'
import { textId, type TextId, type Texts } from '@/messages/texts'

/** What drawings say. @param length writes metres in the reader's units */
export const sheetWords = (length: (m: number) => string, t: Texts): SheetWords => ({
  length,
  text: (code) => t(`drawing.sheets.${code}`),
  material: (key) => t(`design.bedMaterialNames.${key}`),
  species: (key) => speciesName(key, t),
  waterLevel: (m) => t('drawing.sheetLines.waterLevel', { level: length(m) }),
  drainsBackTo: (m) => t('drawing.sheetLines.drainsBackTo', { level: length(m) }),
  band: (widthM, alongM) => t('drawing.sheetLines.band', { width: length(widthM), along: length(alongM) }),
  siteObject: (object, number) => siteObjectName(object, number, length, t),
  filterType: (type) => t(`design.filterTypeNames.${type}`),
  pipe: (boreM, lengthM) => t('drawing.sheetLines.pipe', { bore: length(boreM), length: length(lengthM) }),
  falls: (dropsM) =>
    t('drawing.sheetLines.falls', { count: dropsM.length, drops: dropsM.map((m) => length(m)).join(' + ') }),
  level: (m) => `${m < 0 ? '−' : '+'}${length(Math.abs(Number(m.toFixed(2))))}`,
  exaggerated: (times) => t('drawing.sheetLines.exaggerated', { times }),
  scale: (scale, barM) => t('drawing.sheetLines.scale', { scale, barM }),
})

/** Names of all objects of a site in its list. */
export const siteObjectNames = (objects: readonly SiteObject[], length: (m: number) => string, t: Texts): string[] =>
  objects.map((object, i) => {
    const number = numberOfKind(objects, i)
    const name = siteObjectName(object, number, length, t)
    if (object.kind === 'spot-level') return t('sitePlan.named.spot', { level: name })
    return name
  })

/** What an object of the site is called on a drawing, with its own figure. @param number of its kind, from 1 */
export function siteObjectName(object: SiteObject, number: number, length: (m: number) => string, t: Texts): string {
  const name = t(SITE_OBJECT_NAMES[object.kind])
  switch (object.kind) {
    case 'tree':
      return t('sitePlan.named.tree', { crown: length(object.crownM * 2) })
    case 'service':
      return t('sitePlan.named.service', { service: t(`sitePlan.services.${object.service}`) })
    case 'access':
      return t('sitePlan.named.access', { width: length(object.widthM) })
    case 'fixed-point':
      return number === 1 ? t('sitePlan.named.fixedA') : t('sitePlan.named.fixedB')
    case 'spot-level':
      return `${object.levelM < 0 ? '−' : '+'}${length(Math.abs(object.levelM))}`
    default:
      return name
  }
}

export const SITE_OBJECT_NAMES = {
  tree: textId('sitePlan.objects.tree'),
  building: textId('sitePlan.objects.building'),
  property: textId('sitePlan.objects.property'),
  wall: textId('sitePlan.objects.wall'),
  fence: textId('sitePlan.objects.fence'),
  service: textId('sitePlan.objects.service'),
  access: textId('sitePlan.objects.access'),
  supply: textId('sitePlan.objects.supply'),
  'auto-fill': textId('sitePlan.objects.autoFill'),
  discharge: textId('sitePlan.objects.discharge'),
  'fixed-point': textId('sitePlan.objects.fixedPoint'),
  'spot-level': textId('sitePlan.objects.spotLevel'),
} as const satisfies Record<SiteObjectKind, TextId>

const BY = { falls: 'ByFalls', pipe: 'ByPipe' } as const

/** Names in the flow diagram. */
export const flowNames = (t: Texts): FlowSheetInput['names'] => ({
  branch: (kind) => t(`design.branchNames.${kind}`),
  intake: (kind) => t(`design.intakeNames.${kind}`),
  unit: (kind) => t(`design.trainNames.${kind}`),
  pond: t('drawing.flowNames.pond'),
  back: (from, by) => t(`drawing.flowNames.${by ? (`${from}${BY[by]}` as const) : from}`),
  text: (code) => t(`drawing.sheets.${code}`),
})
