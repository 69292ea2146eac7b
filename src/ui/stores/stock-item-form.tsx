'use client'
import { useTexts } from '@/ui/kit/texts'
import { EQUIPMENT_KINDS, equipmentKind } from '@/core/visits/equipment-care'
import type { ProductBook } from '@/domain/stores/product-book'
import { PIECES, STOCK_KINDS, StockItemInput, type StockItem } from '@/domain/stores/stores'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { speciesByName } from '@/messages/plants/species-name'

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

const inputOf = ({
  name,
  kind,
  unit,
  least: min,
  productKey,
  equipmentKind,
  speciesKey,
  place,
}: StockItem): StockItemInput => ({
  name,
  kind,
  unit,
  least: min,
  productKey,
  equipmentKind,
  speciesKey,
  place,
})

/** A shelf of the stores: a new one, or one that is changed. */
export function StockItemForm({ products, item }: { products: ProductBook; item?: StockItem }) {
  const t = useTexts()

  const {
    form,
    field,
    values: input,
    put,
    submit,
    errorOf,
    problem,
    saved,
    sending,
    ready,
  } = useSchemaForm({
    schema: StockItemInput,
    values: item ? inputOf(item) : EMPTY,
    part: item ? 'item' : '',
  })
  return (
    <form
      className={item ? 'mt-2' : 'sheet'}
      aria-label={item ? t('stores.stockItemForm.change', { name: item.name }) : t('stores.stockItemForm.newItem')}
      noValidate
      onSubmit={submit(
        (body) =>
          item
            ? send('PUT', `/api/v1/stock/${item.id}`, { version: item.version, item: body })
            : send('POST', '/api/v1/stock', body),
        () => (item ? undefined : form.reset(EMPTY)),
      )}
    >
      {item ? null : <h2>{t('stores.stockItemForm.addShelf')}</h2>}
      <ChoiceField
        label={t('stores.stockItemForm.kind')}
        disabled={!ready}
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
          disabled={!ready}
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
          onChange={(e) => put({ equipmentKind: equipmentKind(e.target.value)?.key ?? null, unit: PIECES })}
          options={[
            { value: '', label: t('stores.stockItemForm.nothingParticular') },
            ...EQUIPMENT_KINDS.map((k) => ({ value: k.key, label: t(`equipment.kindNames.${k.key}`) })),
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
              name: input.name || speciesByName(t).find((s) => s.key === e.target.value)?.common || '',
            })
          }
          options={[
            { value: '', label: t('stores.stockItemForm.nothingParticular') },
            ...speciesByName(t).map((s) => ({ value: s.key, label: s.common })),
          ]}
        />
      ) : null}
      <TextField label={t('stores.stockItemForm.name')} {...field('name')} />
      <TextField label={t('stores.stockItemForm.unit')} {...field('unit')} />
      <QuantityField
        label={t('stores.stockItemForm.keepLeast')}
        kind="number"
        value={input.least}
        onChange={(v) => put({ least: v ?? 0 })}
        error={errorOf('least')}
      />
      <TextField label={t('stores.stockItemForm.whereKept')} {...field('place')} />
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary mt-2" disabled={sending}>
        {item ? t('stores.stockItemForm.saveItem') : t('stores.stockItemForm.addItem')}
      </button>{' '}
      <span role="status" className="soft">
        {saved ? t('stores.stockItemForm.kept') : ''}
      </span>
    </form>
  )
}
