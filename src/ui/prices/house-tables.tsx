'use client'
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
  const fitting = (at: number, part: Partial<Fitting>) => put({ ...tables, fittings: tables.fittings.map((f, i) => (i === at ? { ...f, ...part } : f)) })
  const pipe = (at: number, part: Partial<Pipe>) => put({ ...tables, pipes: tables.pipes.map((p, i) => (i === at ? { ...p, ...part } : p)) })
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
    <section className="sheet" aria-label="Pipes and fittings">
      <h2>Pipes and fittings</h2>
      <p className="soft">
        What the filter bench offers, with the figures it computes with. Rows of your own bring their cost into the price book; a fitting stays once designs may
        count it.
      </p>
      <details>
        <summary>
          {tables.fittings.length} fittings, {tables.pipes.length} pipe sizes
        </summary>
        <div className="columns two mt-2">
          <div className="table-responsive" tabIndex={0} role="region" aria-label="Fittings">
            <table className="table table-sm align-top">
              <thead>
                <tr>
                  <th>Fitting</th>
                  <th>K</th>
                  <th>Own cost</th>
                </tr>
              </thead>
              <tbody>
                {tables.fittings.map((row, i) => (
                  <tr key={i}>
                    <td>
                      <TextField
                        label={`Name of fitting ${i + 1}`}
                        hideLabel
                        value={row.name}
                        disabled={locked}
                        error={errorOf(`fittings.${i}.name`)}
                        onChange={(e) => fitting(i, { name: e.target.value, ...(known.has(row.key) ? {} : { key: fittingKeyOf(e.target.value) }) })}
                      />
                    </td>
                    <td style={{ width: '5.5rem' }}>
                      <QuantityField
                        label={`K of ${row.name}`}
                        hideLabel
                        kind="number"
                        value={row.k}
                        disabled={locked}
                        error={errorOf(`fittings.${i}.k`)}
                        onChange={(v) => fitting(i, { k: v ?? Number.NaN })}
                      />
                    </td>
                    <td style={{ width: '6rem' }}>{costField(`Cost of ${row.name}`, row.costMinor, (costMinor) => fitting(i, { costMinor }))}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <div className="table-responsive" tabIndex={0} role="region" aria-label="Pipe sizes">
            <table className="table table-sm align-top">
              <thead>
                <tr>
                  <th>Pipe</th>
                  <th>Bore</th>
                  <th>Own cost, m</th>
                  <th aria-label="Remove" />
                </tr>
              </thead>
              <tbody>
                {tables.pipes.map((row, i) => (
                  <tr key={i}>
                    <td>
                      <TextField
                        label={`Name of pipe ${i + 1}`}
                        hideLabel
                        value={row.name}
                        disabled={locked}
                        error={errorOf(`pipes.${i}.name`)}
                        onChange={(e) => pipe(i, { name: e.target.value })}
                      />
                    </td>
                    <td style={{ width: '7rem' }}>
                      <QuantityField
                        label={`Bore of ${row.name}`}
                        hideLabel
                        kind="length"
                        scale="small"
                        value={row.boreM}
                        disabled={locked}
                        error={errorOf(`pipes.${i}.boreM`)}
                        onChange={(v) => pipe(i, { boreM: v ?? Number.NaN })}
                      />
                    </td>
                    <td style={{ width: '6rem' }}>{costField(`Cost of ${row.name}`, row.costMinor, (costMinor) => pipe(i, { costMinor }))}</td>
                    <td>
                      {locked ? null : (
                        <button
                          type="button"
                          className="btn btn-sm btn-outline-secondary"
                          aria-label={`Remove pipe ${row.name}`}
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
              onClick={() => put({ ...tables, fittings: [...tables.fittings, { key: fittingKeyOf(`own ${tables.fittings.length + 1}`), name: '', k: 0.5 }] })}
            >
              Add a fitting
            </button>
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              onClick={() => put({ ...tables, pipes: [...tables.pipes, { name: '', boreM: 0.05 }] })}
            >
              Add a pipe size
            </button>
            <button type="button" className="btn btn-sm btn-primary" onClick={() => void save()}>
              Save pipes and fittings
            </button>
          </div>
        )}
      </details>
      <ProblemNote problem={problem} />
      <p role="status" className="mb-0">
        {saved ? 'Saved. Benches compute with these from now on.' : ''}
      </p>
    </section>
  )
}
