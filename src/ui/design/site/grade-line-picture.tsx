'use client'
import { useTexts } from '@/ui/kit/texts'
import { gradeLine, gradeLineSheet } from '@/core/drawing/grade-line-sheet'
import type { SheetWords } from '@/core/drawing/sheet'
import { SheetPicture } from '@/ui/drawing/sheet-picture'
import type { DesignPart } from '../use-design'

const FRAME = { widthPx: 900, heightPx: 320, marginPx: 30 }

/** Section from pump to pond with levels and the hydraulic grade line. */
export function GradeLinePicture({ data, shown, words }: DesignPart & { words: SheetWords }) {
  const t = useTexts()
  const line = gradeLine(shown.bed, shown.result, data.designPond.ground)
  if (!line) return null
  const sheet = gradeLineSheet(line, words)
  return (
    <section className="sheet">
      <h2>{sheet.title}</h2>
      <div className="wide-drawing">
        <SheetPicture sheet={sheet} frame={FRAME} name={t('sitePlan.layout.gradeLine')} />
      </div>
      <p className="soft small mb-0">{t('sitePlan.layout.gradeLineHelp')}</p>
    </section>
  )
}
