'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { PRODUCT_PURPOSES, PRODUCT_UNITS, RATE_BASES, type Product } from '@/core/water/dosing/products'
import { productKeyOf, type ProductBook, type ProductCsvOutcome } from '@/domain/stores/product-book'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { FileButton } from '@/ui/kit/file-button'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'
import { sendFile, type SendProblem } from '@/ui/send'

const NEW: Product = {
  key: '',
  name: '',
  purpose: 'bacteria',
  unit: 'mL',
  rate: 10,
  basis: 'volume',
  mostPerM3: 20,
  treats: 'system',
  waterC: [10, 35],
  measure: null,
  repeats: null,
  apart: null,
  licence: false,
  safety: '',
}

/** The firm's products with the rates of their labels: what doses on visits and in the planner are worked out from. */
export function ProductBookEditor({
  products: kept,
  version,
  locked,
}: {
  products: ProductBook
  version: number
  locked: boolean
}) {
  const t = useTexts()

  const router = useRouter()
  const { problem, errorOf, save, saved, touched } = useSave('products')
  const [products, setProducts] = useState<ProductBook>(kept)
  const [seen, setSeen] = useState(version)
  const [read, setRead] = useState<Omit<ProductCsvOutcome, 'products'> | null>(null)
  const [fileProblem, setFileProblem] = useState<SendProblem | null>(null)
  const [unsaved, setUnsaved] = useState(false)
  // a file that was read has changed the book on the server: what comes back from there is shown, and gone on from
  const [comesAnew, setComesAnew] = useState(false)
  if (comesAnew && version !== seen) {
    setComesAnew(false)
    setSeen(version)
    setProducts(kept)
  }
  const known = new Set(kept.map((p) => p.key))
  const put = (next: ProductBook) => {
    touched()
    setUnsaved(true)
    setProducts(next)
  }
  const change = (at: number, part: Partial<Product>) => put(products.map((p, i) => (i === at ? { ...p, ...part } : p)))
  const keep = async () => {
    if (!(await save('PUT', '/api/v1/products', { version: seen, products }))) return
    setSeen(seen + 1)
    setUnsaved(false)
  }
  const readFile = async (text: string) => {
    if (unsaved)
      return setFileProblem({ title: t('stores.productBookEditor.saveProductBookFirst'), status: 409, kind: 'refused' })
    const answer = await sendFile<Omit<ProductCsvOutcome, 'products'>>('/api/v1/products.csv', new Blob([text]))
    setFileProblem(answer.ok ? null : answer.problem)
    if (!answer.ok) return
    setRead(answer.value)
    setComesAnew(answer.value.read > 0)
    router.refresh()
  }
  return (
    <section className="sheet" aria-label={t('stores.productBookEditor.productBook')}>
      <div className="d-flex gap-2 flex-wrap align-items-baseline">
        <h2>{t('stores.productBookEditor.productBook')}</h2>
        <span className="soft">{t('stores.productBookEditor.enterRatesYourOwn')}</span>
        <span className="ms-auto d-flex gap-2 flex-wrap">
          <a className="btn btn-sm btn-outline-secondary" href="/api/v1/products.csv" download>
            {t('stores.productBookEditor.csv')}
          </a>
          {locked ? null : (
            <FileButton
              label={t('stores.productBookEditor.readProductsCsv')}
              accept=".csv,text/csv"
              onText={readFile}
            />
          )}
        </span>
      </div>
      <ProblemNote problem={fileProblem} />
      {read ? (
        <p role="status">
          {t('stores.productBookEditor.productsRead', { read: read.read })}{' '}
          {read.problems.map((p) => (
            <span key={p.line} className="d-block">
              {t('stores.productBookEditor.line', { line: p.line, message: p.message })}
            </span>
          ))}
        </p>
      ) : null}
      {products.map((product, i) => (
        <ProductFields
          key={i}
          product={product}
          at={i}
          locked={locked}
          errorOf={(path) => errorOf(`${i}.${path}`)}
          // a new product's key follows its name until it has been saved once
          onChange={(part) =>
            change(
              i,
              part.name !== undefined && !known.has(product.key) ? { ...part, key: productKeyOf(part.name) } : part,
            )
          }
          onRemove={() => put(products.filter((_, n) => n !== i))}
        />
      ))}
      {locked ? null : (
        <div className="d-flex gap-2 mt-2 align-items-center">
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() => put([...products, { ...NEW, key: productKeyOf(`own ${products.length + 1}`) }])}
          >
            {t('stores.productBookEditor.addProduct')}
          </button>
          <button type="button" className="btn btn-sm btn-primary" onClick={() => void keep()}>
            {t('stores.productBookEditor.saveProductBook')}
          </button>
          <span role="status" className="soft">
            {saved ? t('stores.productBookEditor.saved') : ''}
          </span>
        </div>
      )}
      <ProblemNote problem={problem} />
    </section>
  )
}

interface ProductFieldsProps {
  readonly product: Product
  readonly at: number
  readonly locked: boolean
  readonly errorOf: (path: string) => string | undefined
  readonly onChange: (part: Partial<Product>) => void
  readonly onRemove: () => void
}

function ProductFields({ product, at, locked, errorOf, onChange, onRemove }: ProductFieldsProps) {
  const t = useTexts()

  const figure = (
    label: string,
    value: number | undefined,
    put: (v: number) => void,
    path: string,
    kind: 'number' | 'temperature' = 'number',
  ) => (
    <QuantityField
      label={label}
      kind={kind}
      value={value ?? null}
      disabled={locked}
      onChange={(v) => put(v ?? Number.NaN)}
      error={errorOf(path)}
    />
  )
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
        {figure(t('stores.productBookEditor.rate'), product.rate, (rate) => onChange({ rate }), 'rate')}
        <ChoiceField
          label={t('stores.productBookEditor.rate2')}
          value={product.basis}
          disabled={locked}
          onChange={(e) => onChange({ basis: e.target.value as Product['basis'] })}
          options={RATE_BASES.map((b) => ({ value: b, label: t(`stores.basisNames.${b}`) }))}
        />
        {figure(
          t('stores.productBookEditor.mostLabelPerM'),
          product.mostPerM3,
          (mostPerM3) => onChange({ mostPerM3 }),
          'mostPerM3',
        )}
        <ChoiceField
          label={t('stores.productBookEditor.treats')}
          value={product.treats}
          disabled={locked}
          onChange={(e) => onChange({ treats: e.target.value as Product['treats'] })}
          options={[
            { value: 'system', label: t('stores.productBookEditor.wholeSystem') },
            { value: 'new-water', label: t('stores.productBookEditor.newWaterOnly') },
          ]}
        />
        {figure(
          t('stores.productBookEditor.coldestWater'),
          product.waterC[0],
          (c) => onChange({ waterC: [c, product.waterC[1]] }),
          'waterC.0',
          'temperature',
        )}
        {figure(
          t('stores.productBookEditor.warmestWater'),
          product.waterC[1],
          (c) => onChange({ waterC: [product.waterC[0], c] }),
          'waterC.1',
          'temperature',
        )}
        <TextField
          label={t('stores.productBookEditor.measureScoopPumpStroke')}
          value={product.measure?.name ?? ''}
          disabled={locked}
          onChange={(e) =>
            onChange({
              measure: e.target.value === '' ? null : { name: e.target.value, holds: product.measure?.holds ?? 10 },
            })
          }
          error={errorOf('measure.name')}
        />
        {product.measure
          ? figure(
              t('stores.productBookEditor.holds', { name: product.measure.name, unit: product.unit }),
              product.measure.holds,
              (holds) => onChange({ measure: { ...product.measure!, holds } }),
              'measure.holds',
            )
          : null}
        <QuantityField
          label={t('stores.productBookEditor.repeatTimesMore')}
          kind="number"
          value={product.repeats?.times ?? null}
          disabled={locked}
          optional
          onChange={(v) => onChange({ repeats: v ? { times: v, everyDays: product.repeats?.everyDays ?? 7 } : null })}
          error={errorOf('repeats.times')}
        />
        {product.repeats
          ? figure(
              t('stores.productBookEditor.repeatEverySoMany'),
              product.repeats.everyDays,
              (everyDays) => onChange({ repeats: { ...product.repeats!, everyDays } }),
              'repeats.everyDays',
            )
          : null}
        <TextField
          label={t('stores.productBookEditor.safetyNote')}
          value={product.safety}
          disabled={locked}
          onChange={(e) => onChange({ safety: e.target.value })}
          error={errorOf('safety')}
        />
      </div>
      <fieldset disabled={locked}>
        <legend>{t('stores.productBookEditor.neverWithinSoMany')}</legend>
        <div className="d-flex gap-3 flex-wrap align-items-end">
          {PRODUCT_PURPOSES.filter((p) => p !== product.purpose).map((p) => (
            <CheckField
              key={p}
              label={t(`stores.purposeNames.${p}`)}
              checked={product.apart?.purposes.includes(p) ?? false}
              onChange={(on) => {
                const purposes = on
                  ? [...(product.apart?.purposes ?? []), p]
                  : (product.apart?.purposes ?? []).filter((q) => q !== p)
                onChange({ apart: purposes.length === 0 ? null : { purposes, hours: product.apart?.hours ?? 24 } })
              }}
            />
          ))}
          {product.apart
            ? figure(
                t('stores.productBookEditor.hours'),
                product.apart.hours,
                (hours) => onChange({ apart: { ...product.apart!, hours } }),
                'apart.hours',
              )
            : null}
          <CheckField
            label={t('stores.productBookEditor.onlyLicensedApplicator')}
            checked={product.licence}
            onChange={(licence) => onChange({ licence })}
          />
        </div>
      </fieldset>
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
