import type { FlowSheetInput } from '@/core/drawing/flow-sheet'
import type { SheetWords } from '@/core/drawing/sheet'
import { speciesName } from '@/messages/plants/species-name'
import type { Texts } from '@/messages/texts'

/** What drawings say. @param length writes metres in the reader's units */
export const sheetWords = (length: (m: number) => string, t: Texts): SheetWords => ({
  length,
  text: (code) => t(`drawing.sheets.${code}`),
  material: (key) => t(`design.bedMaterialNames.${key}`),
  species: (key) => speciesName(key, t),
  waterLevel: (m) => t('drawing.sheetLines.waterLevel', { level: length(m) }),
  drainsBackTo: (m) => t('drawing.sheetLines.drainsBackTo', { level: length(m) }),
  band: (widthM, alongM) => t('drawing.sheetLines.band', { width: length(widthM), along: length(alongM) }),
  scale: (scale, barM) => t('drawing.sheetLines.scale', { scale, barM }),
})

const BY = { falls: 'ByFalls', pipe: 'ByPipe' } as const

/** Names in the flow diagram. */
export const flowNames = (t: Texts): FlowSheetInput['names'] => ({
  branch: (kind) => t(`design.branchNames.${kind}`),
  intake: (kind) => t(`design.intakeNames.${kind}`),
  pond: t('drawing.flowNames.pond'),
  back: (from, by) => t(`drawing.flowNames.${by ? (`${from}${BY[by]}` as const) : from}`),
  text: (code) => t(`drawing.sheets.${code}`),
})
