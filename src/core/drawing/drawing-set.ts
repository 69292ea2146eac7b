import type { DesignResult } from '../filter/design'
import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import type { PondGround } from '../site-plan/pond-ground'
import type { Outline } from '../survey/point'
import { detailSheet, planSheet, sectionSheet } from './bed-sheets'
import { flowSheet, type FlowSheetInput } from './flow-sheet'
import { gradeLine, gradeLineSheet } from './grade-line-sheet'
import { perimeterPlanSheet } from './perimeter-sheet'
import { siteSheet } from './site-sheet'
import type { Sheet, SheetWords } from './sheet'

/** Sheets of a drawing set, in the order they are bound in. */
export const SHEET_KEYS = ['site', 'grade', 'plan', 'section', 'detail', 'flow'] as const
export type SheetKey = (typeof SHEET_KEYS)[number]

export interface DrawingSetInput {
  readonly design: FilterDesign
  readonly result: DesignResult
  /** null where only figures of the pond are known. */
  readonly ground: PondGround | null
  readonly shore: Outline
  readonly pumpNames: readonly string[]
  readonly words: SheetWords
  readonly flow: Pick<FlowSheetInput, 'flowOf' | 'write' | 'names'>
}

/** Sheets that a design has: without a layout there is nothing to be cut through from pump to pond. */
export const sheetKeysOf = ({ design, result, ground }: Pick<DrawingSetInput, 'design' | 'result' | 'ground'>) =>
  SHEET_KEYS.filter((key) => {
    if (key === 'site') return ground !== null
    return key !== 'grade' || gradeLine(design, result, ground) !== null
  })

/** One sheet of the set. @returns null where the design has no such sheet */
export function sheetOfSet(key: SheetKey, input: DrawingSetInput): Sheet | null {
  const { design, result, ground, words } = input
  switch (key) {
    case 'site':
      return ground && siteSheet(ground, design, words)
    case 'grade': {
      const line = gradeLine(design, result, ground)
      return line && gradeLineSheet(line, words)
    }
    case 'plan':
      return FILTER_TYPE_FACTS[design.type].alongShore
        ? perimeterPlanSheet(design, input.shore, words)
        : planSheet(design, words)
    case 'section':
      return sectionSheet(design, words)
    case 'detail':
      return detailSheet(design, words)
    case 'flow':
      return flowSheet({
        design,
        pumpNames: input.pumpNames,
        flowM3PerH: result.flowM3PerH,
        bedFlowM3PerH: result.bedFlowM3PerH,
        units: result.train.units,
        ...input.flow,
      })
  }
}

/** Names of all pumps of a design, its own first. */
export const pumpNamesOf = (
  { pumpId, network }: Pick<FilterDesign, 'pumpId' | 'network'>,
  pumps: readonly { readonly id: string; readonly name: string }[],
): string[] =>
  [pumpId, ...(network?.morePumps ?? [])]
    .flatMap((id) => id ?? [])
    .map((id) => pumps.find((pump) => pump.id === id)?.name ?? id)
