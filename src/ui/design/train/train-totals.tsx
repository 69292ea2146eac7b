'use client'
import type { DesignResult } from '@/core/filter/design'
import { formatNumber } from '@/core/units/format'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'

/** The train as a whole: what it leaves for the bed, and what it costs in water and power. */
export function TrainTotals({ result }: { readonly result: DesignResult }) {
  const t = useTexts()
  const show = useShow()
  const { train, treatment } = result
  const mediaM2 = train.units.reduce((sum, unit) => sum + unit.workingSurfaceM2, 0)
  const rows: readonly (readonly [string, string] | null)[] = [
    [t('train.page.solids'), show(train.solidsPast, 'share')],
    [t('train.page.litter'), show(train.litterPast, 'share')],
    mediaM2 > 0
      ? [
          t('train.page.mediaTotal'),
          t('train.page.mediaAsBed', { area: show(mediaM2, 'area'), volume: show(treatment.mediaAsBedM3, 'volume') }),
        ]
      : null,
    train.washM3PerD > 0
      ? [
          t('train.page.washTotal'),
          t('train.page.washNote', { volume: show(train.washM3PerD, 'volume', { scale: 'small' }) }),
        ]
      : null,
    train.powerW > 0 ? [t('train.page.powerTotal'), `${formatNumber(Math.round(train.powerW))} W`] : null,
    train.oxygenGPerD > 0
      ? [
          t('train.page.oxygenTotal'),
          t('train.page.perDay', { amount: show(train.oxygenGPerD / 1000, 'mass', { scale: 'small' }) }),
        ]
      : null,
  ]
  return (
    <section className="sheet" aria-label={t('train.page.together')}>
      <h2>{t('train.page.together')}</h2>
      <table className="table table-sm mb-0">
        <tbody>
          {rows.flatMap((row) =>
            row
              ? [
                  <tr key={row[0]}>
                    <th scope="row">{row[0]}</th>
                    <td>{row[1]}</td>
                  </tr>,
                ]
              : [],
          )}
        </tbody>
      </table>
    </section>
  )
}
