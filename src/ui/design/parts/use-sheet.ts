'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import { pumpNamesOf, sheetOfSet, type SheetKey } from '@/core/drawing/drawing-set'
import type { Sheet } from '@/core/drawing/sheet'
import { networkOf } from '@/core/filter/flow/flow-network'
import { writeInp } from '@/core/hydraulics/network/inp'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { flowNames } from '@/messages/drawing/sheet-words'
import { useSheetWords } from '@/ui/drawing/use-sheet-words'
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
} as const satisfies Record<SheetKey, unknown>

/** One sheet of the drawing set, computed from the design as it stands; null where it has no such sheet. */
export function useSheet({ data, shown }: DesignPart, key: SheetKey): Sheet | null {
  const t = useTexts()
  const show = useShow()
  const words = useSheetWords()
  const network = useNetwork(
    useMemo(() => {
      const plan = shown.bed.network
      return key === 'flow' && plan ? writeInp(networkOf(shown.bed, plan, 'summer', data.pumps, data.rules)) : null
    }, [key, shown.bed, data]),
  )
  return useMemo(() => {
    const plain = (words: string) => words.replaceAll('\u00a0', ' ')
    const { bed, result } = shown
    return sheetOfSet(key, {
      design: bed,
      result,
      ground: data.designPond.ground,
      shore: savedPondFacts(data.pond).basin.outline,
      pumpNames: pumpNamesOf(bed, data.pumps),
      words,
      flow: {
        flowOf: (id) =>
          network.status === 'solved' ? (network.network.links.find((l) => l.id === id)?.flowM3PerH ?? 0) : null,
        write: (flow) => plain(show(flow, 'flow')),
        names: flowNames(t),
      },
    })
  }, [key, shown, show, data, network, t, words])
}
