'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Product } from '@/core/water/dosing/products'
import { productKeyOf, type ProductBook, type ProductCsvOutcome } from '@/domain/stores/product-book'
import { FileButton } from '@/ui/kit/file-button'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useSave } from '@/ui/use-save'
import { sendFile, type SendProblem } from '@/ui/send'
import { ProductFields } from './product-fields'

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
