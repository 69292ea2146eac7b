'use client'
import { useState } from 'react'
import type { ProductBook } from '@/domain/stores/product-book'
import { STOCK_MOVES, type StockNeed } from '@/domain/stores/stores'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'
import { StockItemForm } from './stock-item-form'

const MOVE_NAMES = { received: 'Came in', used: 'Taken out', counted: 'Counted: so much is there' } as const

/** One item at hand: what came in, what went out, or how much is really there. */
export function MoveForm({ item, products, mayWrite }: { item: StockNeed; products: ProductBook; mayWrite: boolean }) {
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
            label="What happened"
            value={move}
            onChange={(e) => setMove(e.target.value as typeof move)}
            options={STOCK_MOVES.map((m) => ({ value: m, label: MOVE_NAMES[m] }))}
          />
          <QuantityField label={`Amount, ${item.unit}`} kind="number" value={amount} onChange={setAmount} error={errorOf('amount')} />
          <TextField label="Note" value={note} onChange={(e) => setNote(e.target.value)} error={errorOf('note')} />
        </div>
        <ProblemNote problem={problem} />
        <button className="btn btn-sm btn-primary">Book it</button>{' '}
        <span role="status" className="soft">
          {saved ? 'Booked.' : ''}
        </span>
      </form>
      {mayWrite ? (
        <details className="mt-2">
          <summary className="btn btn-sm btn-outline-secondary">Change the item</summary>
          <StockItemForm key={item.version} products={products} item={item} />
        </details>
      ) : null}
    </section>
  )
}
