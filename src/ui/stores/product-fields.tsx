'use client'
import { useTexts } from '@/ui/kit/texts'
import { PRODUCT_PURPOSES, PRODUCT_UNITS, type Product } from '@/core/water/dosing/products'
import { ChoiceField } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import { ApartFields, MeasureFields, RateFields, type FieldsOfProduct } from './product-figures'

interface ProductFieldsProps extends FieldsOfProduct {
  readonly at: number
  readonly onRemove: () => void
}

/** A product of the book with the rates of its label. */
export function ProductFields({ product, at, locked, errorOf, onChange, onRemove }: ProductFieldsProps) {
  const t = useTexts()

  const fields = { product, locked, errorOf, onChange }
  return (
    <details className="border-bottom" open={product.name === ''}>
      <summary>
        <strong>{product.name || t('stores.productBookEditor.product', { at: at + 1 })}</strong>{' '}
        <span className="soft">
          {t(`stores.purposeNames.${product.purpose}`).toLowerCase()}, {Number(product.rate.toPrecision(4))}{' '}
          {product.unit} {t(`stores.basisNames.${product.basis}`)}
        </span>
      </summary>
      <div className="field-grid my-2">
        <TextField
          label={t('stores.productBookEditor.name')}
          value={product.name}
          disabled={locked}
          onChange={(e) => onChange({ name: e.target.value })}
          error={errorOf('name')}
        />
        <ChoiceField
          label={t('stores.productBookEditor.for')}
          value={product.purpose}
          disabled={locked}
          onChange={(e) => onChange({ purpose: e.target.value as Product['purpose'] })}
          options={PRODUCT_PURPOSES.map((p) => ({ value: p, label: t(`stores.purposeNames.${p}`) }))}
        />
        <ChoiceField
          label={t('stores.productBookEditor.unit')}
          value={product.unit}
          disabled={locked}
          onChange={(e) => onChange({ unit: e.target.value as Product['unit'] })}
          options={PRODUCT_UNITS.map((u) => ({ value: u, label: u }))}
        />
        <RateFields {...fields} />
        <MeasureFields {...fields} />
        <TextField
          label={t('stores.productBookEditor.safetyNote')}
          value={product.safety}
          disabled={locked}
          onChange={(e) => onChange({ safety: e.target.value })}
          error={errorOf('safety')}
        />
      </div>
      <ApartFields {...fields} />
      {locked ? null : (
        <button
          type="button"
          className="btn btn-sm btn-outline-danger my-2"
          onClick={onRemove}
          aria-label={t('stores.productBookEditor.takeOutBook', { name: product.name })}
        >
          {t('stores.productBookEditor.takeOutBook2')}
        </button>
      )}
    </details>
  )
}
