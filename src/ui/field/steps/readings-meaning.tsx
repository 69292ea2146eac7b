'use client'
import { useTexts } from '@/ui/kit/texts'
import type { ReadingKindName } from '@/core/water/readings'
import { verdictOfLatest, type DatedReading } from '@/core/water/verdict'
import { ammoniaWords } from '@/messages/water/ammonia-words'
import { usePerson } from '@/ui/person-context'

interface ReadingsMeaningProps {
  /** What is being written down at this step. */
  readonly typed: Partial<Readonly<Record<ReadingKindName, number>>>
  /** Earlier tests of this pond: pH and temperature of these days judge an ammonia test. */
  readonly before: readonly DatedReading[]
  /** ms since 1970 */
  readonly nowMs: number
}

/** What the readings at hand mean, said while the hand is still in the water. */
export function ReadingsMeaning({ typed, before, nowMs }: ReadingsMeaningProps) {
  const t = useTexts()

  const { preferences } = usePerson()
  const takenAt = new Date(nowMs).toISOString()
  const kinds = Object.keys(typed) as ReadingKindName[]
  const verdict = verdictOfLatest([...before, ...kinds.map((kind) => ({ kind, value: typed[kind]!, takenAt }))])
  const said = kinds.filter((kind) => kind === 'tan' || (verdict.bands[kind] ?? 'fine') !== 'fine')
  return (
    <div role="group" aria-live="polite" aria-label={t('field.readingsMeaning.whatReadingsMean')}>
      {said.map((kind) => {
        const band = verdict.bands[kind] ?? 'fine'
        return (
          <p key={kind} className="mb-1">
            <span className={`verdict ${band}`}>{t(`water.bandNames.${band}`)}</span> {t(`water.readingNames.${kind}`)}
            {kind === 'tan' ? `: ${ammoniaWords(verdict, preferences.units, t)}` : ''}
          </p>
        )
      })}
    </div>
  )
}
