'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useMemo } from 'react'
import { estimate, type Estimate } from '@/core/pricing/estimate'
import { formatNumber } from '@/core/units/format'
import { csvOf } from '@/domain/shared/csv'
import { money } from '@/domain/prices/pricing'
import { may } from '@/domain/people/roles'
import { usePerson } from '@/ui/person-context'
import { fileName, saveFile } from '@/ui/save-file'
import { ProposalMaker } from '../proposal-maker'
import { PriceRangeNote } from './price-range-note'
import { UpkeepTable } from './upkeep-table'
import type { DesignPart } from '@/ui/design/use-design'

const GROUP_NAMES = {
  sheet: textId('design.pricePart.linerSheets'),
  stone: textId('design.pricePart.stoneModulesWalls'),
  pipe: textId('design.pricePart.pipeFittings'),
  equipment: textId('design.pricePart.equipment'),
  plants: textId('design.pricePart.plants'),
  other: textId('design.pricePart.sundries'),
  labour: textId('design.pricePart.labour'),
} as const
const GROUPS = Object.keys(GROUP_NAMES) as (keyof typeof GROUP_NAMES)[]

const materialsCsv = (price: Estimate): string =>
  csvOf(
    price.lines.map((line) => ({
      item: line.name,
      quantity: line.quantity,
      unit: line.unit,
      cost_each: (line.costMinor / 100).toFixed(2),
      total: (line.totalMinor / 100).toFixed(2),
    })),
    ['item', 'quantity', 'unit', 'cost_each', 'total'],
  )

/** Materials, labour and price of the design as drawn, and the proposals made of saved versions. */
export function PricePart({ data, shown }: DesignPart) {
  const t = useTexts()

  const { role } = usePerson()
  const { priceBook, pond } = data
  const price = useMemo(
    () =>
      priceBook
        ? estimate(shown.bed, priceBook, { pumps: data.pumps, rules: data.rules, pond: data.designPond })
        : null,
    [shown, priceBook, data],
  )
  if (!price) return <p className="sheet">{t('design.pricePart.pricesShownOwnersOffice')}</p>
  const cash = (minor: number) => money(minor, price.currency)
  return (
    <>
      <section className="sheet">
        <h2>
          {t('design.pricePart.materialsLabour')} <span data-testid="price-total">{cash(price.totalMinor)}</span>
        </h2>
        {price.unpriced.length > 0 ? (
          <p className="stop-note" role="alert">
            {t('design.pricePart.priceBookHasNo', { unpriced: price.unpriced.join(', ') })}
          </p>
        ) : null}
        <div className="table-responsive" tabIndex={0} role="region" aria-label={t('design.pricePart.materialsLabour')}>
          <table className="table table-sm mb-1">
            <thead>
              <tr>
                <th>{t('design.pricePart.item')}</th>
                <th className="text-end">{t('design.pricePart.needed')}</th>
                <th className="text-end">{t('design.pricePart.order')}</th>
                <th className="text-end">{t('design.pricePart.cost')}</th>
                <th className="text-end">{t('design.pricePart.total')}</th>
              </tr>
            </thead>
            {GROUPS.filter((group) => price.lines.some((line) => line.group === group)).map((group) => (
              <tbody key={group}>
                <tr>
                  <th colSpan={5} scope="rowgroup" className="group-row">
                    {t(GROUP_NAMES[group])}
                  </th>
                </tr>
                {price.lines
                  .filter((line) => line.group === group)
                  .map((line) => (
                    <tr key={line.key}>
                      <th scope="row" className="fw-normal">
                        {line.name}
                      </th>
                      <td className="text-end">{formatNumber(line.exact)}</td>
                      <td className="text-end">
                        {formatNumber(line.quantity, 'en', 4)} {line.unit === 'each' ? '' : line.unit}
                      </td>
                      <td className="text-end">{line.costMinor > 0 ? cash(line.costMinor) : ''}</td>
                      <td className="text-end">{cash(line.totalMinor)}</td>
                    </tr>
                  ))}
              </tbody>
            ))}
            <tfoot>
              {(
                [
                  [t('design.pricePart.materials'), price.materialsMinor],
                  [
                    t('design.pricePart.markupMaterials', { markup: formatNumber((priceBook?.markup ?? 0) * 100) }),
                    price.markupMinor,
                  ],
                  [
                    t('design.pricePart.labourMachinesPersonHours', { labourH: formatNumber(price.labourH) }),
                    price.labourMinor,
                  ],
                  [t('design.pricePart.tax', { tax: formatNumber((priceBook?.tax ?? 0) * 100) }), price.taxMinor],
                ] as const
              ).map(([name, minor]) => (
                <tr key={name}>
                  <th scope="row" colSpan={4} className="fw-normal text-end">
                    {name}
                  </th>
                  <td className="text-end">{cash(minor)}</td>
                </tr>
              ))}
              <tr>
                <th scope="row" colSpan={4} className="text-end">
                  {t('design.pricePart.price')}
                </th>
                <td className="text-end">
                  <strong>{cash(price.totalMinor)}</strong>
                </td>
              </tr>
            </tfoot>
          </table>
        </div>
        {priceBook ? <PriceRangeNote price={price} book={priceBook} /> : null}
        <div className="d-flex gap-3 align-items-center">
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() =>
              saveFile(
                fileName(t('design.pricePart.materials2', { name: pond.name }), 'csv'),
                materialsCsv(price),
                'text/csv',
              )
            }
          >
            {t('design.pricePart.saveCsv')}
          </button>
          <Link href="/prices">{t('design.pricePart.priceBook')}</Link>
        </div>
      </section>
      {priceBook ? <UpkeepTable data={data} shown={shown} book={priceBook} /> : null}
      {may(role, 'proposals.write') ? <ProposalMaker data={data} currency={price.currency} /> : null}
    </>
  )
}
