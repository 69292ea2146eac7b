'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { EQUIPMENT_KINDS } from '@/core/visits/equipment-care'
import type { ProductBook } from '@/domain/stores/product-book'
import { SPECIES_BY_NAME } from '@/domain/plants/plants'
import { PIECES, STOCK_KINDS, type StockItem, type StockItemInput } from '@/domain/stores/stores'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'

const EMPTY: StockItemInput = {
  name: '',
  kind: 'product',
  unit: 'g',
  least: 0,
  productKey: null,
  equipmentKind: null,
  speciesKey: null,
  place: '',
}

/** A shelf of the stores: a new one, or one that is changed. */
export function StockItemForm({ products, item }: { products: ProductBook; item?: StockItem }) {
  const t = useTexts()

  const { problem, errorOf, save, saved } = useSave(item ? 'item' : '')
  const [input, setInput] = useState<StockItemInput>(
    item
      ? {
          name: item.name,
          kind: item.kind,
          unit: item.unit,
          least: item.least,
          productKey: item.productKey,
          equipmentKind: item.equipmentKind,
          speciesKey: item.speciesKey,
          place: item.place,
        }
      : EMPTY,
  )
  const put = (part: Partial<StockItemInput>) => setInput({ ...input, ...part })
  const keep = async () => {
    const kept = item
      ? await save('PUT', `/api/v1/stock/${item.id}`, { version: item.version, item: input })
      : await save('POST', '/api/v1/stock', input)
    if (kept && !item) setInput(EMPTY)
  }
  return (
    <form
      className={item ? 'mt-2' : 'sheet'}
      aria-label={item ? t('stores.stockItemForm.change', { name: item.name }) : t('stores.stockItemForm.newItem')}
      onSubmit={(e) => {
        e.preventDefault()
        void keep()
      }}
    >
      {item ? null : <h2>{t('stores.stockItemForm.addShelf')}</h2>}
      <ChoiceField
        label={t('stores.stockItemForm.kind')}
        value={input.kind}
        onChange={(e) =>
          put({
            kind: e.target.value as StockItemInput['kind'],
            productKey: null,
            equipmentKind: null,
            speciesKey: null,
          })
        }
        options={STOCK_KINDS.map((kind) => ({ value: kind, label: t(`stores.stockKindNames.${kind}`) }))}
        error={errorOf('kind')}
      />
      {input.kind === 'product' ? (
        <ChoiceField
          label={t('stores.stockItemForm.productBook')}
          value={input.productKey ?? ''}
          onChange={(e) => {
            const product = products.find((p) => p.key === e.target.value)
            put(
              product
                ? {
                    productKey: product.key,
                    name: input.name || product.name,
                    unit: product.unit === 'each' ? PIECES : product.unit,
                  }
                : { productKey: null },
            )
          }}
          options={[
            { value: '', label: t('stores.stockItemForm.none') },
            ...products.map((p) => ({ value: p.key, label: p.name })),
          ]}
        />
      ) : null}
      {input.kind === 'part' ? (
        <ChoiceField
          label={t('stores.stockItemForm.part')}
          value={input.equipmentKind ?? ''}
          onChange={(e) => put({ equipmentKind: e.target.value || null, unit: PIECES })}
          options={[
            { value: '', label: t('stores.stockItemForm.nothingParticular') },
            ...EQUIPMENT_KINDS.map((k) => ({ value: k.key, label: k.name })),
          ]}
        />
      ) : null}
      {input.kind === 'plant' ? (
        <ChoiceField
          label={t('stores.stockItemForm.rootedPieces')}
          value={input.speciesKey ?? ''}
          onChange={(e) =>
            put({
              speciesKey: e.target.value || null,
              unit: PIECES,
              name: input.name || SPECIES_BY_NAME.find((s) => s.key === e.target.value)?.common || '',
            })
          }
          options={[
            { value: '', label: t('stores.stockItemForm.nothingParticular') },
            ...SPECIES_BY_NAME.map((s) => ({ value: s.key, label: s.common })),
          ]}
        />
      ) : null}
      <TextField
        label={t('stores.stockItemForm.name')}
        value={input.name}
        onChange={(e) => put({ name: e.target.value })}
        error={errorOf('name')}
      />
      <TextField
        label={t('stores.stockItemForm.unit')}
        value={input.unit}
        onChange={(e) => put({ unit: e.target.value })}
        error={errorOf('unit')}
      />
      <QuantityField
        label={t('stores.stockItemForm.keepLeast')}
        kind="number"
        value={input.least}
        onChange={(v) => put({ least: v ?? 0 })}
        error={errorOf('least')}
      />
      <TextField
        label={t('stores.stockItemForm.whereKept')}
        value={input.place}
        onChange={(e) => put({ place: e.target.value })}
        error={errorOf('place')}
      />
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary mt-2">
        {item ? t('stores.stockItemForm.saveItem') : t('stores.stockItemForm.addItem')}
      </button>{' '}
      <span role="status" className="soft">
        {saved ? t('stores.stockItemForm.kept') : ''}
      </span>
    </form>
  )
}
