'use client'
import type { PriceItem } from '@/core/pricing/price-book'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useTexts } from '@/ui/kit/texts'

export interface PriceRowsProps {
  /** Lines of the book, each with its place in it. */
  readonly rows: readonly { readonly item: PriceItem; readonly place: number }[]
  readonly locked: boolean
  readonly onChange: (key: string, part: Partial<PriceItem>) => void
  readonly errorOf: (path: string) => string | undefined
}

/** Lines of the price book: cost, stock step and waste of each. @param label what the table is of */
export function PriceRows({ rows, locked, onChange, errorOf, label }: PriceRowsProps & { readonly label: string }) {
  const t = useTexts()
  return (
    <div className="table-responsive" tabIndex={0} role="region" aria-label={label}>
      <table className="table table-sm align-middle">
        <thead>
          <tr>
            <th>{t('prices.pricesView.item')}</th>
            <th>{t('prices.pricesView.unit')}</th>
            <th className="text-end">{t('prices.pricesView.cost')}</th>
            <th className="text-end">{t('prices.pricesView.stockStep')}</th>
            <th className="text-end">{t('prices.pricesView.waste')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ item, place }) => (
            <tr key={item.key}>
              <th scope="row" className="fw-normal">
                {item.name}
              </th>
              <td className="soft">{item.unit}</td>
              <td style={{ width: '8rem' }}>
                <Cost
                  item={item}
                  locked={locked}
                  onChange={(costMinor) => onChange(item.key, { costMinor })}
                  error={errorOf(`items.${place}.costMinor`)}
                />
              </td>
              <td style={{ width: '6rem' }}>
                <QuantityField
                  label={t('prices.pricesView.stockStep2', { name: item.name })}
                  hideLabel
                  kind="number"
                  value={item.step}
                  disabled={locked}
                  onChange={(v) => onChange(item.key, { step: v ?? Number.NaN })}
                  error={errorOf(`items.${place}.step`)}
                />
              </td>
              <td style={{ width: '6rem' }}>
                <QuantityField
                  label={t('prices.pricesView.waste2', { name: item.name })}
                  hideLabel
                  kind="share"
                  value={item.waste}
                  disabled={locked}
                  onChange={(v) => onChange(item.key, { waste: v ?? Number.NaN })}
                  error={errorOf(`items.${place}.waste`)}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

interface CostProps {
  readonly item: PriceItem
  readonly locked: boolean
  readonly onChange: (minor: number) => void
  readonly error: string | undefined
}

/** A cost in the firm's money, typed as 12.50; kept in whole cents. */
function Cost({ item, locked, onChange, error }: CostProps) {
  const t = useTexts()

  return (
    <QuantityField
      label={t('prices.pricesView.cost2', { name: item.name })}
      hideLabel
      kind="number"
      value={item.costMinor / 100}
      disabled={locked}
      onChange={(v) => onChange(v === null ? Number.NaN : Math.round(v * 100))}
      error={error}
    />
  )
}
