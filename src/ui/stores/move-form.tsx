'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import type { ProductBook } from '@/domain/stores/product-book'
import { STOCK_MOVES, StockMoveInput, type StockMoveKind, type StockNeed } from '@/domain/stores/stores'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { StockItemForm } from './stock-item-form'

const MOVE_NAMES = {
  received: textId('stores.moveForm.came'),
  used: textId('stores.moveForm.takenOut'),
  counted: textId('stores.moveForm.countedSoMuchThere'),
} as const

const NOTHING = { move: 'received' as StockMoveKind, amount: null as number | null, note: '' }

/** One item at hand: what came in, what went out, or how much is really there. */
export function MoveForm({ item, products, mayWrite }: { item: StockNeed; products: ProductBook; mayWrite: boolean }) {
  const t = useTexts()

  const { form, field, control, submit, problem, saved, sending } = useSchemaForm({
    schema: StockMoveInput,
    values: NOTHING,
  })
  return (
    <section className="sheet" aria-label={item.name}>
      <h2>{item.name}</h2>
      <form
        noValidate
        onSubmit={submit(
          (body) => send('POST', `/api/v1/stock/${item.id}/move`, body),
          (_, { move }) => form.reset({ ...NOTHING, move }),
        )}
      >
        <div className="field-grid">
          <ChoiceField
            label={t('stores.moveForm.whatHappened')}
            options={STOCK_MOVES.map((m) => ({ value: m, label: t(MOVE_NAMES[m]) }))}
            {...field('move')}
          />
          <QuantityField
            label={t('stores.moveForm.amount', { unit: item.unit })}
            kind="number"
            {...control('amount')}
          />
          <TextField label={t('stores.moveForm.note')} {...field('note')} />
        </div>
        <ProblemNote problem={problem} />
        <button className="btn btn-sm btn-primary" disabled={sending}>
          {t('stores.moveForm.book')}
        </button>{' '}
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
