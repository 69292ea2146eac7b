'use client'
import { useTexts } from '@/ui/kit/texts'
import { KIT, KIT_TESTS, type KitTest } from '@/core/trainer/kit'
import { TRAINING_DEPTH_M } from '@/core/trainer/world'
import type { WeekView } from '@/core/trainer/view'
import { readingQuantity } from '@/domain/water/reading-names'
import { useShow } from '@/ui/person-context'
import type { Season } from './use-season'

/** A test's result in the person's units. */
export function useKitWords(): (test: KitTest, value: number) => string {
  const t = useTexts()

  const show = useShow()
  return (test, value) =>
    test === 'clarityDepth' && value >= TRAINING_DEPTH_M
      ? t('trainer.testKit.floor')
      : show(value, readingQuantity(test), { significant: 2 })
}

/** The tests in the bag: each takes its time, and shows what it can show. */
export function TestKit({ season, view }: { season: Season; view: WeekView }) {
  const t = useTexts()

  const words = useKitWords()
  const { visit, minutesLeft } = season
  return (
    <section className="sheet" aria-label={t('trainer.testKit.tests')}>
      <h2>{t('trainer.testKit.testWater')}</h2>
      <div className="kit">
        {KIT_TESTS.map((test) =>
          visit.tests.includes(test) ? (
            <div key={test} className="read">
              <span>{t(`water.readingNames.${test}`)}</span>
              <strong>{words(test, view.kit[test])}</strong>
            </div>
          ) : (
            <button
              key={test}
              className="btn btn-outline-secondary"
              disabled={minutesLeft < KIT[test].minutes}
              onClick={() => season.test(test)}
            >
              <span>{t(`water.readingNames.${test}`)}</span>{' '}
              <span className="soft">{t('trainer.testKit.min', { minutes: KIT[test].minutes })}</span>
            </button>
          ),
        )}
      </div>
    </section>
  )
}
