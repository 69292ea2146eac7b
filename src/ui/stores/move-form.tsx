'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import type { ProductBook } from '@/domain/stores/product-book'
import { STOCK_MOVES, type StockNeed } from '@/domain/stores/stores'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'
import { StockItemForm } from './stock-item-form'

const MOVE_NAMES = {
  received: textId('stores.moveForm.came'),
  used: textId('stores.moveForm.takenOut'),
  counted: textId('stores.moveForm.countedSoMuchThere'),
} as const

/** One item at hand: what came in, what went out, or how much is really there. */
export function MoveForm({ item, products, mayWrite }: { item: StockNeed; products: ProductBook; mayWrite: boolean }) {
  const t = useTexts()

  const { problem, errorOf, save, saved } = useSave()
  const [move, setMove] = useState<(typeof STOCK_MOVES)[number]>('received')
  const [amount, setAmount] = useState<number | null>(null)
  const [note, setNote] = useState('')
  return (
    <section className="sheet" aria-label={item.name}>
      <h2>{item.name}</h2>
      <form
        onSubmit={(e) => {
          e.preventDefault()
          void save('POST', `/api/v1/stock/${item.id}/move`, { move, amount, note }).then((kept) => {
            if (!kept) return
            setAmount(null)
            setNote('')
          })
        }}
      >
        <div className="field-grid">
          <ChoiceField
            label={t('stores.moveForm.whatHappened')}
            value={move}
            onChange={(e) => setMove(e.target.value as typeof move)}
            options={STOCK_MOVES.map((m) => ({ value: m, label: t(MOVE_NAMES[m]) }))}
          />
          <QuantityField
            label={t('stores.moveForm.amount', { unit: item.unit })}
            kind="number"
            value={amount}
            onChange={setAmount}
            error={errorOf('amount')}
          />
          <TextField
            label={t('stores.moveForm.note')}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            error={errorOf('note')}
          />
        </div>
        <ProblemNote problem={problem} />
        <button className="btn btn-sm btn-primary">{t('stores.moveForm.book')}</button>{' '}
        <span role="status" className="soft">
          {saved ? t('stores.moveForm.booked') : ''}
        </span>
      </form>
      {mayWrite ? (
        <details className="mt-2">
          <summary className="btn btn-sm btn-outline-secondary">{t('stores.moveForm.changeItem')}</summary>
          <StockItemForm key={item.version} products={products} item={item} />
        </details>
      ) : null}
    </section>
  )
}
