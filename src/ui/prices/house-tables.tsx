'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { fittingKeyOf, type HouseTables, type KeptTables } from '@/domain/house-rules/house-tables'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'

type Fitting = HouseTables['fittings'][number]
type Pipe = HouseTables['pipes'][number]

/** Pipes and fittings that the bench offers: the usual rows with the firm's own figures, and rows of its own. */
export function HouseTablesEditor({ kept, locked }: { kept: KeptTables; locked: boolean }) {
  const t = useTexts()

  const router = useRouter()
  const [tables, setTables] = useState<HouseTables>(kept.tables)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(false)
  // what this form last saw; a later save by someone else is then a conflict
  const [seenVersion, setSeenVersion] = useState(kept.version)
  const errorOf = (path: string) => problem?.fields?.find((f) => f.path === `tables.${path}`)?.message
  const put = (next: HouseTables) => {
    setSaved(false)
    setTables(next)
  }
  const fitting = (at: number, part: Partial<Fitting>) =>
    put({ ...tables, fittings: tables.fittings.map((f, i) => (i === at ? { ...f, ...part } : f)) })
  const pipe = (at: number, part: Partial<Pipe>) =>
    put({ ...tables, pipes: tables.pipes.map((p, i) => (i === at ? { ...p, ...part } : p)) })
  // a new row's key follows its name until it has been saved once; designs count by it from then on
  const known = new Set(kept.tables.fittings.map((f) => f.key))
  const save = async () => {
    const outcome = await send('PUT', '/api/v1/house-tables', { version: seenVersion, tables })
    setProblem(outcome.ok ? null : outcome.problem)
    setSaved(outcome.ok)
    if (!outcome.ok) return
    setSeenVersion(seenVersion + 1)
    router.refresh()
  }
  const costField = (label: string, value: number | undefined, onChange: (minor: number | undefined) => void) => (
    <QuantityField
      label={label}
      hideLabel
      kind="number"
      value={value === undefined ? null : value / 100}
      disabled={locked}
      onChange={(v) => onChange(v === null ? undefined : Math.round(v * 100))}
    />
  )
  return (
    <section className="sheet" aria-label={t('prices.houseTables.pipesFittings')}>
      <h2>{t('prices.houseTables.pipesFittings')}</h2>
      <p className="soft">{t('prices.houseTables.whatFilterDesignProposals')}</p>
      <details>
        <summary>
          {t('prices.houseTables.fittingsPipeSizes', { count: tables.fittings.length, count2: tables.pipes.length })}
        </summary>
        <div className="columns two mt-2">
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
                      {costField(t('prices.houseTables.cost', { name: row.name }), row.costMinor, (costMinor) =>
                        fitting(i, { costMinor }),
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
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
                      {costField(t('prices.houseTables.cost', { name: row.name }), row.costMinor, (costMinor) =>
                        pipe(i, { costMinor }),
                      )}
                    </td>
                    <td>
                      {locked ? null : (
                        <button
                          type="button"
                          className="btn btn-sm btn-outline-secondary"
                          aria-label={t('prices.houseTables.removePipe', { name: row.name })}
                          onClick={() => put({ ...tables, pipes: tables.pipes.filter((_, n) => n !== i) })}
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
        </div>
        {locked ? null : (
          <div className="d-flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              onClick={() =>
                put({
                  ...tables,
                  fittings: [
                    ...tables.fittings,
                    { key: fittingKeyOf(`own ${tables.fittings.length + 1}`), name: '', k: 0.5 },
                  ],
                })
              }
            >
              {t('prices.houseTables.addFitting')}
            </button>
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              onClick={() => put({ ...tables, pipes: [...tables.pipes, { name: '', boreM: 0.05 }] })}
            >
              {t('prices.houseTables.addPipeSize')}
            </button>
            <button type="button" className="btn btn-sm btn-primary" onClick={() => void save()}>
              {t('prices.houseTables.savePipesFittings')}
            </button>
          </div>
        )}
      </details>
      <ProblemNote problem={problem} />
      <p role="status" className="mb-0">
        {saved ? t('prices.houseTables.savedBenchesComputeThese') : ''}
      </p>
    </section>
  )
}
