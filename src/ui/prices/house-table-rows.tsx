'use client'
import { fittingKeyOf, type HouseTables } from '@/domain/house-rules/house-tables'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useTexts } from '@/ui/kit/texts'
import { TextField } from '@/ui/kit/text-field'

type Fitting = HouseTables['fittings'][number]
type Pipe = HouseTables['pipes'][number]

interface RowsProps {
  readonly tables: HouseTables
  readonly put: (part: Partial<HouseTables>) => void
  readonly errorOf: (path: string) => string | undefined
  readonly locked: boolean
}

interface CostFieldProps {
  readonly row: { readonly name: string; readonly costMinor?: number }
  readonly locked: boolean
  readonly onChange: (minor: number | undefined) => void
}

function CostField({ row, locked, onChange }: CostFieldProps) {
  const t = useTexts()

  return (
    <QuantityField
      label={t('prices.houseTables.cost', { name: row.name })}
      hideLabel
      kind="number"
      value={row.costMinor === undefined ? null : row.costMinor / 100}
      disabled={locked}
      onChange={(v) => onChange(v === null ? undefined : Math.round(v * 100))}
    />
  )
}

/** @param known keys that were saved: a new row's key follows its name until then */
export function FittingsTable({ tables, put, errorOf, locked, known }: RowsProps & { known: ReadonlySet<string> }) {
  const t = useTexts()

  const fitting = (at: number, part: Partial<Fitting>) =>
    put({ fittings: tables.fittings.map((f, i) => (i === at ? { ...f, ...part } : f)) })
  return (
    <div className="table-responsive" tabIndex={0} role="region" aria-label={t('prices.houseTables.fittings')}>
      <table className="table table-sm align-top">
        <thead>
          <tr>
            <th>{t('prices.houseTables.fitting')}</th>
            <th>{t('prices.houseTables.k')}</th>
            <th>{t('prices.houseTables.ownCost')}</th>
          </tr>
        </thead>
        <tbody>
          {tables.fittings.map((row, i) => (
            <tr key={i}>
              <td>
                <TextField
                  label={t('prices.houseTables.nameFitting', { i: i + 1 })}
                  hideLabel
                  value={row.name}
                  disabled={locked}
                  error={errorOf(`fittings.${i}.name`)}
                  onChange={(e) =>
                    fitting(i, {
                      name: e.target.value,
                      ...(known.has(row.key) ? {} : { key: fittingKeyOf(e.target.value) }),
                    })
                  }
                />
              </td>
              <td style={{ width: '5.5rem' }}>
                <QuantityField
                  label={t('prices.houseTables.k2', { name: row.name })}
                  hideLabel
                  kind="number"
                  value={row.k}
                  disabled={locked}
                  error={errorOf(`fittings.${i}.k`)}
                  onChange={(v) => fitting(i, { k: v ?? Number.NaN })}
                />
              </td>
              <td style={{ width: '6rem' }}>
                <CostField row={row} locked={locked} onChange={(costMinor) => fitting(i, { costMinor })} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

export function PipesTable({ tables, put, errorOf, locked }: RowsProps) {
  const t = useTexts()

  const pipe = (at: number, part: Partial<Pipe>) =>
    put({ pipes: tables.pipes.map((p, i) => (i === at ? { ...p, ...part } : p)) })
  return (
    <div className="table-responsive" tabIndex={0} role="region" aria-label={t('prices.houseTables.pipeSizes')}>
      <table className="table table-sm align-top">
        <thead>
          <tr>
            <th>{t('prices.houseTables.pipe')}</th>
            <th>{t('prices.houseTables.bore')}</th>
            <th>{t('prices.houseTables.ownCostM')}</th>
            <th aria-label={t('prices.houseTables.remove')} />
          </tr>
        </thead>
        <tbody>
          {tables.pipes.map((row, i) => (
            <tr key={i}>
              <td>
                <TextField
                  label={t('prices.houseTables.namePipe', { i: i + 1 })}
                  hideLabel
                  value={row.name}
                  disabled={locked}
                  error={errorOf(`pipes.${i}.name`)}
                  onChange={(e) => pipe(i, { name: e.target.value })}
                />
              </td>
              <td style={{ width: '7rem' }}>
                <QuantityField
                  label={t('prices.houseTables.bore2', { name: row.name })}
                  hideLabel
                  kind="length"
                  scale="small"
                  value={row.boreM}
                  disabled={locked}
                  error={errorOf(`pipes.${i}.boreM`)}
                  onChange={(v) => pipe(i, { boreM: v ?? Number.NaN })}
                />
              </td>
              <td style={{ width: '6rem' }}>
                <CostField row={row} locked={locked} onChange={(costMinor) => pipe(i, { costMinor })} />
              </td>
              <td>
                {locked ? null : (
                  <button
                    type="button"
                    className="btn btn-sm btn-outline-secondary"
                    aria-label={t('prices.houseTables.removePipe', { name: row.name })}
                    onClick={() => put({ pipes: tables.pipes.filter((_, n) => n !== i) })}
                  >
                    ×
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
