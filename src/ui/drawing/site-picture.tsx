'use client'
import type { FilterDesign } from '@/core/filter/design-input'
import { siteSheet } from '@/core/drawing/site-sheet'
import type { PondGround } from '@/core/site-plan/pond-ground'
import { useTexts } from '@/ui/kit/texts'
import { SheetPicture } from './sheet-picture'
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
  const sheet = siteSheet(ground, design, useSheetWords())
  return <SheetPicture sheet={sheet} frame={narrow ? NARROW_FRAME : FRAME} name={t('sitePlan.canvas.name')} scaleBar />
}
