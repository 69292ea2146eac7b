'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import { siteParts, type SitePartId } from '@/core/drawing/site-sheet'
import { firstLayout } from '@/core/site-plan/layout'
import type { SiteLayout } from '@/core/site-plan/site-layout'
import { useSheetWords } from '@/ui/drawing/use-sheet-words'
import { layoutItems } from '@/ui/site-plan/layout-items'
import { SiteCanvas } from '@/ui/site-plan/site-canvas'
import type { DesignPart } from '../use-design'
import { GradeLinePicture } from './grade-line-picture'
import { LayoutFields } from './layout-fields'
import { LayoutFigures } from './layout-figures'
import { TieInTable } from './tie-in-table'

/** The site plan of a design: its parts placed on the ground, and what follows from where they stand. */
export function SitePart(part: DesignPart) {
  const { data, bed, shown, set } = part
  const t = useTexts()
  const words = useSheetWords()
  const [picked, setPicked] = useState<SitePartId | null>(null)
  const { ground } = data.designPond
  if (!ground) return null
  const layout = shown.bed.layout
  const setLayout = (next: SiteLayout | null, what = '') => set({ layout: next }, what && `layout-${what}`)
  const { northDeg, windFromDeg } = ground.survey
  const layOut = () => setLayout(firstLayout(shown.bed, ground.outline, northDeg, windFromDeg))
  return (
    <>
      <section className="sheet">
        <h2>{t('sitePlan.layout.title')}</h2>
        {layout ? (
          <SiteCanvas
            ground={ground}
            parts={siteParts(ground, shown.bed, words)}
            items={layoutItems(shown.bed, ground.outline, t, setLayout)}
            words={words}
            focus="design"
            picked={picked}
            onPick={setPicked}
          />
        ) : (
          <>
            <p className="soft">{t('sitePlan.layout.notLaidOut')}</p>
            <button type="button" className="btn btn-primary" onClick={layOut}>
              {t('sitePlan.layout.layOut')}
            </button>
          </>
        )}
        <p className="soft small among-words mt-2 mb-0">
          {t('sitePlan.layout.siteIsSurveyed')}{' '}
          <Link href={`/ponds/${data.pond.id}/site`}>{t('sitePlan.layout.openSite')}</Link>
        </p>
      </section>
      {layout && bed.layout ? (
        <>
          <LayoutFigures {...part} ground={ground} />
          <LayoutFields {...part} layout={bed.layout} picked={picked} onPick={setPicked} onLayout={setLayout} />
          <GradeLinePicture {...part} words={words} />
          <TieInTable design={shown.bed} layout={layout} ground={ground} pondName={data.pond.name} />
        </>
      ) : null}
    </>
  )
}
