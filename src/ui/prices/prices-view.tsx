'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import type { CataloguePump } from '@/core/filter/flow/pump-catalogue'
import type { PriceItem } from '@/core/pricing/price-book'
import type { KeptTables } from '@/domain/house-rules/house-tables'
import { money, PriceBookInput, type KeptPriceBook } from '@/domain/prices/pricing'
import type { RowProblemWords } from '@/messages/problem-body'
import { PUMP_CSV_COLUMNS } from '@/domain/prices/pump-csv'
import { may } from '@/domain/people/roles'
import { FileButton } from '@/ui/kit/file-button'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { usePerson, useShow } from '@/ui/person-context'
import { send, sendFile } from '@/ui/send'
import { useRemoval } from '@/ui/use-removal'
import { useSave } from '@/ui/use-save'
import { useSchemaForm } from '@/ui/use-schema-form'
import { HouseTablesEditor } from './house-tables'
import { PriceRows } from './price-rows'
import { FoldedPrices, isFolded } from './folded-prices'

/** The price book, pipes and fittings, and the firm's own pumps: what estimates and proposals are made of. */
export function PricesView({
  kept,
  pumps,
  tables,
}: {
  kept: KeptPriceBook
  pumps: readonly CataloguePump[]
  tables: KeptTables
}) {
  const t = useTexts()

  const { role } = usePerson()
  const locked = !may(role, 'prices.write')
  return (
    <>
      <div className="page-head">
        <h1>{t('prices.pricesView.pricesPumps')}</h1>
        <span className="soft">
          {locked ? t('prices.pricesView.changedOwnersOffice') : t('prices.pricesView.whatEstimatesProposalsMade')}
        </span>
      </div>
      <p>
        <Link href="/cutting">{t('prices.pricesView.cutLinerSheetsSeveral')}</Link>
      </p>
      <OwnPumps pumps={pumps} currency={kept.book.currency} locked={locked} />
      <HouseTablesEditor kept={tables} locked={locked} />
      <Book key={`${kept.version}:${tables.version}`} kept={kept} locked={locked} />
    </>
  )
}

function Book({ kept, locked }: { kept: KeptPriceBook; locked: boolean }) {
  const t = useTexts()

  const {
    values: book,
    put,
    errorOf,
    submit,
    problem: refused,
    sending,
  } = useSchemaForm({ schema: PriceBookInput, values: kept.book, part: 'book' })
  const { problem: unread, ask } = useSave()
  const problem = refused ?? unread
  const [note, setNote] = useState('')
  const [rows, setRows] = useState<readonly RowProblemWords[]>([])
  const change = (key: string, part: Partial<PriceItem>) =>
    put({ items: book.items.map((item) => (item.key === key ? { ...item, ...part } : item)) })
  const rowsOf = (of: (item: PriceItem) => boolean) =>
    book.items.flatMap((item, i) => (of(item) ? [{ item, place: i }] : []))
  const save = submit((body) => send('PUT', '/api/v1/price-book', { version: kept.version, book: body }))
  const load = async (text: string) => {
    const answer = await ask(
      sendFile<{ changed: number; problems: RowProblemWords[] }>('/api/v1/price-book.csv', new Blob([text])),
    )
    if (!answer) return
    setRows(answer.problems)
    setNote(t('prices.pricesView.linesChanged', { changed: answer.changed }))
  }
  return (
    <section className="sheet">
      <h2>{t('prices.pricesView.priceBook')}</h2>
      <div className="d-flex flex-wrap gap-2 align-items-end mb-2">
        <div style={{ width: '7rem' }}>
          <TextField
            label={t('prices.pricesView.currency')}
            value={book.currency}
            disabled={locked}
            onChange={(e) => put({ currency: e.target.value.toUpperCase() })}
            error={errorOf('currency')}
          />
        </div>
        <div style={{ width: '9rem' }}>
          <QuantityField
            label={t('prices.pricesView.markupMaterials')}
            kind="share"
            value={book.markup}
            disabled={locked}
            onChange={(v) => put({ markup: v ?? Number.NaN })}
            error={errorOf('markup')}
          />
        </div>
        <div style={{ width: '7rem' }}>
          <QuantityField
            label={t('prices.pricesView.tax')}
            kind="share"
            value={book.tax}
            disabled={locked}
            onChange={(v) => put({ tax: v ?? Number.NaN })}
            error={errorOf('tax')}
          />
        </div>
        <a className="btn btn-sm btn-outline-primary" href="/api/v1/price-book.csv">
          {t('prices.pricesView.saveCsv')}
        </a>
        {locked ? null : (
          <FileButton
            label={t('prices.pricesView.openPriceCsv')}
            accept=".csv,.txt"
            onText={(text) => void load(text)}
          />
        )}
      </div>
      <p role="status" className="mb-1">
        {note}
      </p>
      <RowProblems rows={rows} />
      <PriceRows
        label={t('prices.pricesView.priceBook')}
        rows={rowsOf((item) => !isFolded(item))}
        locked={locked}
        onChange={change}
        errorOf={errorOf}
      />
      <FoldedPrices rows={rowsOf(isFolded)} locked={locked} onChange={change} errorOf={errorOf} />
      <ProblemNote problem={problem} />
      {locked ? null : (
        <button type="button" className="btn btn-primary" disabled={sending} onClick={() => void save()}>
          {t('prices.pricesView.savePriceBook')}
        </button>
      )}
    </section>
  )
}

function OwnPumps({ pumps, currency, locked }: { pumps: readonly CataloguePump[]; currency: string; locked: boolean }) {
  const t = useTexts()

  const show = useShow()
  const { problem, ask } = useSave()
  const [note, setNote] = useState('')
  const [rows, setRows] = useState<readonly RowProblemWords[]>([])
  const load = async (text: string) => {
    const answer = await ask(sendFile<{ kept: number; problems: RowProblemWords[] }>('/api/v1/pumps', new Blob([text])))
    if (!answer) return
    setRows(answer.problems)
    setNote(t('prices.pricesView.pumpsKept', { kept: answer.kept }))
  }
  const removal = useRemoval()
  const drop = ({ id, name }: CataloguePump) =>
    removal.removeForGood({
      path: `/api/v1/pumps/${encodeURIComponent(id)}`,
      words: t('prices.pricesView.pumpGoesForGood', { name }),
      goOn: t('prices.pricesView.removePump'),
    })
  return (
    <section className="sheet">
      <h2>{t('prices.pricesView.yourOwnPumps')}</h2>
      <p className="soft">
        {t('prices.pricesView.theyStandPumpList', { pumpCsvColumns: PUMP_CSV_COLUMNS.join(', ') })}
      </p>
      {locked ? null : (
        <FileButton label={t('prices.pricesView.openPumpCsv')} accept=".csv,.txt" onText={(text) => void load(text)} />
      )}
      <p role="status" className="mb-1">
        {note}
      </p>
      <RowProblems rows={rows} />
      <ProblemNote problem={problem ?? removal.problem} />
      {pumps.length === 0 ? null : (
        <ul className="plain-list">
          {pumps.map((pump) => (
            <li key={pump.id} className="d-flex gap-2 align-items-baseline">
              <strong>{pump.name}</strong>
              <span className="soft">
                {t('prices.pricesView.wUp', {
                  powerW: pump.powerW,
                  flowM3PerH: show(pump.curve[pump.curve.length - 1]!.flowM3PerH, 'flow'),
                  headM: show(pump.curve[0]!.headM, 'length'),
                  priceMinor: money(pump.priceMinor, currency),
                })}
              </span>
              {locked ? null : (
                <button
                  type="button"
                  className="btn btn-sm btn-outline-secondary ms-auto"
                  aria-label={t('prices.pricesView.remove', { name: pump.name })}
                  onClick={() => void drop(pump)}
                >
                  ×
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

/** Rows of a file that were left out, by line. */
function RowProblems({ rows }: { rows: readonly RowProblemWords[] }) {
  const t = useTexts()

  if (rows.length === 0) return null
  return (
    <div className="stop-note" role="alert">
      <p className="mb-1">{t('prices.pricesView.leftOut')}</p>
      <ul className="mb-0">
        {rows.map((row, i) => (
          <li key={i}>{t('prices.pricesView.line', { line: row.line, message: row.message })}</li>
        ))}
      </ul>
    </div>
  )
}
