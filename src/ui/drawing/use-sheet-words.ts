'use client'
import { useMemo } from 'react'
import { DIMENSION_FIGURES, type SheetWords } from '@/core/drawing/sheet'
import { sheetWords } from '@/messages/drawing/sheet-words'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'

/** What drawings say in the reader's language and units; a dimension is what was typed, to the millimetre. */
export function useSheetWords(): SheetWords {
  const t = useTexts()
  const show = useShow()
  return useMemo(
    () =>
      sheetWords(
        (m) =>
          show(m, 'length', { scale: Math.abs(m) < 1 ? 'small' : 'usual', significant: DIMENSION_FIGURES }).replaceAll(
            '\u00a0',
            ' ',
          ),
        t,
      ),
    [show, t],
  )
}
