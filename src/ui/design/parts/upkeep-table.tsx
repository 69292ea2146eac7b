'use client'
import { useMemo } from 'react'
import { runningCost } from '@/core/pricing/running-cost'
import type { PriceBook } from '@/core/pricing/price-book'
import { formatNumber } from '@/core/units/format'
import { isStanding } from '@/domain/design/design'
import { money } from '@/domain/prices/pricing'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import { workThrough, type DesignPart, type Worked } from '../use-design'

/** A year with this design in hours, current, water and money, beside the filter as it stands. */
export function UpkeepTable({ data, shown, book }: Pick<DesignPart, 'data' | 'shown'> & { readonly book: PriceBook }) {
  const t = useTexts()
  const show = useShow()
  const standing = useMemo(() => {
    const version = data.designs.find(isStanding) ?? data.designs.find((d) => d.state === 'approved')
    const worked = version ? workThrough(data, version.builtBed ?? version.bed) : null
    return version && worked ? { number: version.number, worked } : null
  }, [data])
  const columns = [
    { name: t('design.pricePart.thisDesign'), worked: shown },
    ...(standing
      ? [{ name: t('design.pricePart.asItStands', { number: standing.number }), worked: standing.worked }]
      : []),
  ]
  const cash = (minor: number) => money(Math.round(minor / 100) * 100, book.currency)
  const cost = ({ bed, result }: Worked) => runningCost(bed, result.upkeep, book, data.pumps)
  const rows: readonly (readonly [string, (worked: Worked) => string, (worked: Worked) => number])[] = [
    [
      t('design.pricePart.careHours'),
      (w) => t('design.pricePart.hours', { hours: formatNumber(w.result.upkeep.hoursPerYear) }),
      (w) => cost(w).workMinor,
    ],
    [
      t('design.pricePart.electricity'),
      (w) => t('design.pricePart.kwh', { energy: Math.round(w.result.upkeep.energyKWhPerYear) }),
      (w) => cost(w).energyMinor,
    ],
    [t('design.pricePart.washWater'), (w) => show(w.result.upkeep.waterM3PerYear, 'volume'), (w) => cost(w).waterMinor],
    [t('design.pricePart.wornParts'), () => '', (w) => cost(w).wearMinor],
  ]
  const { unpriced } = cost(shown)
  return (
    <section className="sheet" aria-label={t('design.pricePart.upkeepYear')}>
      <h2>
        {t('design.pricePart.upkeepYear')} <span data-testid="upkeep-total">{cash(cost(shown).totalMinor)}</span>
      </h2>
      {unpriced.length > 0 ? (
        <p className="stop-note" role="alert">
          {t('design.pricePart.priceBookHasNo', { unpriced: unpriced.join(', ') })}
        </p>
      ) : null}
      <div className="table-responsive" tabIndex={0} role="region" aria-label={t('design.pricePart.upkeepYear')}>
        <table className="table table-sm mb-1">
          <thead>
            <tr>
              <th>{t('design.pricePart.aYear')}</th>
              {columns.map(({ name }) => (
                <th key={name} className="text-end" scope="col" colSpan={2}>
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, amount, minor]) => (
              <tr key={name}>
                <th scope="row" className="fw-normal">
                  {name}
                </th>
                {columns.flatMap((column) => [
                  <td key={`${column.name} amount`} className="text-end">
                    {amount(column.worked)}
                  </td>,
                  <td key={`${column.name} money`} className="text-end">
                    {cash(minor(column.worked))}
                  </td>,
                ])}
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row">{t('design.pricePart.inAll')}</th>
              {columns.flatMap((column) => [
                <td key={`${column.name} amount`} />,
                <td key={`${column.name} money`} className="text-end">
                  <strong>{cash(cost(column.worked).totalMinor)}</strong>
                </td>,
              ])}
            </tr>
          </tfoot>
        </table>
      </div>
      <p className="soft small mb-0">{t('design.pricePart.upkeepNote')}</p>
    </section>
  )
}
