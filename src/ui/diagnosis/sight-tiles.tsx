'use client'
import { useState } from 'react'
import { SIGHT_AREAS, SIGHTS, type FindingKey, type Findings, type SightArea } from '@/core/diagnosis/findings'
import { useTexts } from '@/ui/kit/texts'
import { SightPicture } from './sight-picture'

interface SightTilesProps {
  /** What stands now, from the file and from what was said. */
  readonly findings: Findings
  /** What the file says by itself: taken back by saying no. */
  readonly onFile: (finding: FindingKey) => boolean
  readonly onSay: (finding: FindingKey, found: boolean | undefined) => void
}

/** Where something looks wrong, as pictures; a place opens what may be seen there, and a press says that it is. */
export function SightTiles({ findings, onFile, onSay }: SightTilesProps) {
  const t = useTexts()

  const [open, setOpen] = useState<SightArea | null>(null)
  const seenIn = (area: SightArea) => SIGHTS[area].filter((s) => findings[s] === true).length
  const pressed = (sight: FindingKey): boolean | undefined => {
    if (findings[sight] !== true) return true
    return onFile(sight) ? false : undefined
  }
  return (
    <section className="sheet" aria-label={t('diagnosis.diagnosisView.whatDoYouSee')}>
      <h2>{t('diagnosis.diagnosisView.whatDoYouSee')}</h2>
      <div className="sight-tiles areas">
        {SIGHT_AREAS.map((area) => (
          <button
            key={area}
            type="button"
            className="sight-tile"
            aria-expanded={open === area}
            onClick={() => setOpen(open === area ? null : area)}
          >
            <SightPicture of={area} />
            <span>{t(`diagnosis.areas.${area}`)}</span>
            {seenIn(area) > 0 ? <span className="count">{seenIn(area)}</span> : null}
          </button>
        ))}
      </div>
      {open ? (
        <div className="sight-tiles" role="group" aria-label={t(`diagnosis.areas.${open}`)}>
          {SIGHTS[open].map((sight) => (
            <button
              key={sight}
              type="button"
              className="sight-tile"
              aria-pressed={findings[sight] === true}
              onClick={() => onSay(sight, pressed(sight))}
            >
              <SightPicture of={sight} />
              <span>{t(`diagnosis.sights.${sight}`)}</span>
            </button>
          ))}
        </div>
      ) : null}
    </section>
  )
}
