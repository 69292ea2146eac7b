'use client'
import type { Sheet } from '@/core/drawing/sheet'
import { useShow } from '@/ui/person-context'
import { ScaleBar } from './scale-bar'
import { SheetArrow, SheetMarks } from './sheet-marks'
import { fitScale, type Frame } from './to-scale'

interface SheetPictureProps {
  readonly sheet: Sheet
  readonly frame: Frame
  /** What it shows, for those who do not see it. */
  readonly name: string
  /** Left out where heights are drawn larger than lengths. */
  readonly scaleBar?: boolean
}

/** A sheet to look at, fitted into a frame. */
export function SheetPicture({ sheet, frame, name, scaleBar = false }: SheetPictureProps) {
  const show = useShow()
  const scale = fitScale(frame, sheet.bounds)
  return (
    <svg className="drawing" viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`} role="img" aria-label={name}>
      <SheetArrow />
      <SheetMarks marks={sheet.marks} scale={scale} />
      {scaleBar ? <ScaleBar scale={scale} x={8} y={frame.heightPx - 8} show={(m) => show(m, 'length')} /> : null}
    </svg>
  )
}
