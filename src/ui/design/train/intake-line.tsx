'use client'
import { DESIGN_RANGE } from '@/core/filter/design-input'
import { nearestSize } from '@/core/hydraulics/fittings'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useTexts } from '@/ui/kit/texts'
import { orNaN } from '@/ui/or-nan'
import { useShow } from '@/ui/person-context'
import type { DesignPart } from '../use-design'

/** Usual bore and length of a pipe to a screen before the pump, m. */
const USUAL = { boreM: 0.11, lengthM: 5 } as const
/** Flow that one such pipe carries without drawing the chamber far down, m³/h. @source house default */
const PER_PIPE_M3_PER_H = 10

/** Pipes from the pond to the train by gravity, and how far the pump draws the water down. */
export function IntakeLine({ bed, shown, data, set, errorOf }: DesignPart) {
  const t = useTexts()
  const show = useShow()
  const pipe = bed.intakePipe
  const change = (next: Partial<NonNullable<typeof pipe>>) =>
    pipe && set({ intakePipe: { ...pipe, ...next } }, 'intake')
  const add = () =>
    set({
      intakePipe: {
        count: Math.min(
          DESIGN_RANGE.intakePipes[1],
          Math.max(1, Math.ceil(shown.result.flowM3PerH / PER_PIPE_M3_PER_H)),
        ),
        diameterM: nearestSize(USUAL.boreM, data.rules.tables.pipes).boreM,
        lengthM: USUAL.lengthM,
      },
    })
  return (
    <section className="sheet" aria-label={t('train.page.intakeTitle')}>
      <h2>{t('train.page.intakeTitle')}</h2>
      <p className="soft">{bed.network ? t('train.page.intakeSplit') : t('train.page.intakeNote')}</p>
      {pipe ? (
        <>
          <div className="field-grid">
            <QuantityField
              label={t('train.page.intakeCount')}
              kind="number"
              value={pipe.count}
              onChange={(v) => change({ count: orNaN(v) })}
              error={errorOf('intakePipe.count')}
            />
            <QuantityField
              label={t('train.page.intakeBore')}
              kind="length"
              scale="small"
              value={pipe.diameterM}
              onChange={(v) => change({ diameterM: orNaN(v) })}
              error={errorOf('intakePipe.diameterM')}
            />
            <QuantityField
              label={t('train.page.intakeLength')}
              kind="length"
              value={pipe.lengthM}
              onChange={(v) => change({ lengthM: orNaN(v) })}
              error={errorOf('intakePipe.lengthM')}
            />
          </div>
          <p className="mb-2">
            {t('train.page.intakeDrop', {
              drop: show(shown.result.train.intakeDropM, 'length', { scale: 'small' }),
            })}
          </p>
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => set({ intakePipe: null })}>
            {t('train.page.intakeRemove')}
          </button>
        </>
      ) : (
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={add}>
          {t('train.page.intakeAdd')}
        </button>
      )}
    </section>
  )
}
