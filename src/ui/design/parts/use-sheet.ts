'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import { detailSheet, planSheet, sectionSheet } from '@/core/drawing/bed-sheets'
import { flowSheet } from '@/core/drawing/flow-sheet'
import { gradeLine, gradeLineSheet } from '@/core/drawing/grade-line-sheet'
import { siteSheet } from '@/core/drawing/site-sheet'
import { perimeterPlanSheet } from '@/core/drawing/perimeter-sheet'
import { DIMENSION_FIGURES, type Sheet } from '@/core/drawing/sheet'
import { networkOf } from '@/core/filter/flow/flow-network'
import { writeInp } from '@/core/hydraulics/network/inp'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { flowNames, sheetWords } from '@/messages/drawing/sheet-words'
import { useShow } from '@/ui/person-context'
import { useNetwork } from '../use-network'
import type { DesignPart } from '../use-design'

export const SHEET_NAMES = {
  site: textId('design.drawingsPart.sitePlan'),
  grade: textId('design.drawingsPart.gradeLine'),
  plan: textId('design.drawingsPart.plan'),
  section: textId('design.drawingsPart.longSection'),
  detail: textId('design.drawingsPart.layerDetail'),
  flow: textId('design.drawingsPart.flowDiagram'),
} as const
export type SheetKey = keyof typeof SHEET_NAMES

/** Sheets that a design has: without a layout there is nothing to be cut through from pump to pond. */
export const sheetsOf = ({ data, shown }: DesignPart): SheetKey[] =>
  (Object.keys(SHEET_NAMES) as SheetKey[]).filter((key) => {
    const { ground } = data.designPond
    if (key === 'site') return ground !== null
    return key !== 'grade' || gradeLine(shown.bed, shown.result, ground) !== null
  })

/** One sheet of the drawing set, computed from the design as it stands. */
export function useSheet({ data, shown }: DesignPart, key: SheetKey): Sheet {
  const t = useTexts()
  const show = useShow()
  const network = useNetwork(
    useMemo(() => {
      const plan = shown.bed.network
      return key === 'flow' && plan
        ? writeInp(networkOf(shown.bed, plan, 'summer', data.pumps, data.rules.tables))
        : null
    }, [key, shown.bed, data]),
  )
  return useMemo(() => {
    const plain = (words: string) => words.replaceAll('\u00a0', ' ')
    // a dimension is what was typed, to the millimetre: 12.25 m is never 12.3 m
    const words = sheetWords(
      (m) => plain(show(m, 'length', { scale: Math.abs(m) < 1 ? 'small' : 'usual', significant: DIMENSION_FIGURES })),
      t,
    )
    const { bed, result } = shown
    switch (key) {
      case 'site':
        return siteSheet(data.designPond.ground!, bed, words)
      case 'grade':
        return gradeLineSheet(gradeLine(bed, result, data.designPond.ground)!, words)
      case 'plan':
        return FILTER_TYPE_FACTS[bed.type].alongShore
          ? perimeterPlanSheet(bed, savedPondFacts(data.pond).basin.outline, words)
          : planSheet(bed, words)
      case 'section':
        return sectionSheet(bed, words)
      case 'detail':
        return detailSheet(bed, words)
      case 'flow':
        return flowSheet({
          design: bed,
          pumpNames: [bed.pumpId, ...(bed.network?.morePumps ?? [])]
            .flatMap((id) => id ?? [])
            .map((id) => data.pumps.find((p) => p.id === id)?.name ?? id),
          flowM3PerH: result.flowM3PerH,
          bedFlowM3PerH: result.bedFlowM3PerH,
          flowOf: (id) =>
            network.status === 'solved' ? (network.network.links.find((l) => l.id === id)?.flowM3PerH ?? 0) : null,
          write: (flow) => plain(show(flow, 'flow')),
          names: flowNames(t),
        })
    }
  }, [key, shown, show, data, network, t])
}
