'use client'
import type { FilterDesign } from '@/core/filter/design-input'
import { siteSheet } from '@/core/drawing/site-sheet'
import type { PondGround } from '@/core/site-plan/pond-ground'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import { ScaleBar } from './scale-bar'
import { SheetArrow, SheetMarks } from './sheet-marks'
import { fitScale } from './to-scale'
import { useSheetWords } from './use-sheet-words'

const FRAME = { widthPx: 900, heightPx: 460, marginPx: 34 }
/** A frame whose words can be read at the width of a phone. */
const NARROW_FRAME = { widthPx: 460, heightPx: 360, marginPx: 26 }

interface SitePictureProps {
  readonly ground: PondGround
  readonly design: FilterDesign | null
  readonly narrow?: boolean
}

/** The site plan to look at: pond, what lies around it, and the design where it stands. */
export function SitePicture({ ground, design, narrow = false }: SitePictureProps) {
  const t = useTexts()
  const show = useShow()
  const words = useSheetWords()
  const sheet = siteSheet(ground, design, words)
  const frame = narrow ? NARROW_FRAME : FRAME
  const scale = fitScale(frame, sheet.bounds)
  return (
    <svg
      className="drawing"
      viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`}
      role="img"
      aria-label={t('sitePlan.canvas.name')}
    >
      <SheetArrow />
      <SheetMarks marks={sheet.marks} scale={scale} />
      <ScaleBar scale={scale} x={8} y={frame.heightPx - 8} show={(m) => show(m, 'length')} />
    </svg>
  )
}
