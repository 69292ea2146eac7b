'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { fittingKeyOf, HouseTables, type KeptTables } from '@/domain/house-rules/house-tables'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { FittingsTable, PipesTable } from './house-table-rows'

/** Pipes and fittings that the bench offers: the usual rows with the firm's own figures, and rows of its own. */
export function HouseTablesEditor({ kept, locked }: { kept: KeptTables; locked: boolean }) {
  const t = useTexts()

  // what this form last saw; a later save by someone else is then a conflict
  const [seenVersion, setSeenVersion] = useState(kept.version)
  const {
    values: tables,
    put,
    errorOf,
    submit,
    problem,
    saved,
    sending,
  } = useSchemaForm({ schema: HouseTables, values: kept.tables, part: 'tables' })
  // a new row's key follows its name until it has been saved once; designs count by it from then on
  const known = new Set(kept.tables.fittings.map((f) => f.key))
  const save = submit(
    (body) => send('PUT', '/api/v1/house-tables', { version: seenVersion, tables: body }),
    () => setSeenVersion(seenVersion + 1),
  )
  const parts = { tables, put, errorOf, locked }
  return (
    <section className="sheet" aria-label={t('prices.houseTables.pipesFittings')}>
      <h2>{t('prices.houseTables.pipesFittings')}</h2>
      <p className="soft">{t('prices.houseTables.whatFilterDesignProposals')}</p>
      <details>
        <summary>
          {t('prices.houseTables.fittingsPipeSizes', { count: tables.fittings.length, count2: tables.pipes.length })}
        </summary>
        <div className="columns two mt-2">
          <FittingsTable {...parts} known={known} />
          <PipesTable {...parts} />
        </div>
        {locked ? null : (
          <div className="d-flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              onClick={() =>
                put({
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
              onClick={() => put({ pipes: [...tables.pipes, { name: '', boreM: 0.05 }] })}
            >
              {t('prices.houseTables.addPipeSize')}
            </button>
            <button type="button" className="btn btn-sm btn-primary" disabled={sending} onClick={() => void save()}>
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
