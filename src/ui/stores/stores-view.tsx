'use client'
import { useTexts, type Texts } from '@/ui/kit/texts'
import { useState } from 'react'
import { amountWords } from '@/messages/water/amount-words'
import { PIECES, STOCK_KINDS, type StockNeed } from '@/domain/stores/stores'
import type { StoresPageData } from '@/server/stores/stores'
import { usePerson } from '@/ui/person-context'
import { ProductBookEditor } from './product-book-editor'
import { MoveForm } from './move-form'
import { StockItemForm } from './stock-item-form'

function figure(value: number, unit: string, t: Texts): string {
  if (unit === 'g' || unit === 'mL') return amountWords(Math.abs(value), unit)
  const count = Number(Math.abs(value).toPrecision(4))
  return unit === PIECES ? t('stores.storesView.pieces', { count }) : `${count} ${unit}`
}
const signed = (value: number, unit: string, t: Texts): string => `${value < 0 ? '−' : ''}${figure(value, unit, t)}`

/** The stores: what is there, what the coming weeks take, what to order; and the firm's products with their labels. */
export function StoresView({ data }: { data: StoresPageData }) {
  const t = useTexts()

  const { timeZone } = usePerson()
  const [chosen, setChosen] = useState<string | null>(null)
  const short = data.items.filter((item) => item.order > 0)
  const item = data.items.find((i) => i.id === chosen)
  return (
    <>
      <div className="page-head">
        <h1>{t('stores.storesView.stores')}</h1>
        <span className="soft">
          {t('stores.storesView.reckonedPlannedUntil', { visits: data.visits, until: t.shortDate(data.until) })}
        </span>
      </div>
      <div className="columns wide-left">
        <div>
          <section className="sheet" aria-label={t('stores.storesView.shelf')}>
            {data.items.length === 0 ? (
              <p>{t('stores.storesView.nothingShelfYetAdd')}</p>
            ) : (
              <div className="table-responsive" tabIndex={0} role="region" aria-label={t('stores.storesView.stock')}>
                <table className="table table-sm align-middle mb-0">
                  <thead>
                    <tr>
                      <th>{t('stores.storesView.item')}</th>
                      <th className="text-end">{t('stores.storesView.there')}</th>
                      <th className="text-end">{t('stores.storesView.comingWeeks')}</th>
                      <th className="text-end">{t('stores.storesView.keepLeast')}</th>
                      <th className="text-end">{t('stores.storesView.order')}</th>
                    </tr>
                  </thead>
                  {STOCK_KINDS.filter((kind) => data.items.some((i) => i.kind === kind)).map((kind) => (
                    <tbody key={kind}>
                      <tr>
                        <th colSpan={5} className="soft small">
                          {t(`stores.stockKindNames.${kind}`)}
                        </th>
                      </tr>
                      {data.items
                        .filter((i) => i.kind === kind)
                        .map((i) => (
                          <Row
                            key={i.id}
                            item={i}
                            chosen={i.id === chosen}
                            onChoose={() => setChosen(i.id === chosen ? null : i.id)}
                          />
                        ))}
                    </tbody>
                  ))}
                </table>
              </div>
            )}
          </section>
          {item && data.mayMove ? (
            <MoveForm key={item.id} item={item} mayWrite={data.mayWrite} products={data.products} />
          ) : null}
          <section className="sheet" aria-label={t('stores.storesView.movements')}>
            <h2>{t('stores.storesView.lastMovements')}</h2>
            {data.moves.length === 0 ? <p className="soft mb-0">{t('stores.storesView.noneYet')}</p> : null}
            <ul className="plain-list">
              {data.moves.map((m) => (
                <li key={m.id}>
                  {m.item}: <strong>{signed(m.amount, m.unit, t)}</strong>{' '}
                  <span className="soft small">
                    {t(`stores.moveNames.${m.move}`)}
                    {m.note ? `, ${m.note}` : ''} · {m.by}, {t.instant(m.at, timeZone)}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        </div>
        <div>
          <section className="sheet" aria-label={t('stores.storesView.order2')}>
            <h2>{t('stores.storesView.order2')}</h2>
            {short.length === 0 ? <p className="soft mb-0">{t('stores.storesView.nothingComingWeeksLeave')}</p> : null}
            <ul className="plain-list">
              {short.map((i) => (
                <li key={i.id}>
                  {i.name}: <strong>{figure(i.order, i.unit, t)}</strong>
                </li>
              ))}
              {data.unstocked.map(({ product, amount }) => (
                <li key={product.key}>
                  {t('stores.storesView.neededNoShelf', {
                    name: product.name,
                    amount: amountWords(amount, product.unit),
                  })}
                </li>
              ))}
            </ul>
          </section>
          {data.mayWrite ? <StockItemForm products={data.products} /> : null}
        </div>
      </div>
      <ProductBookEditor products={data.products} version={data.productsVersion} locked={!data.mayWrite} />
    </>
  )
}

function Row({ item, chosen, onChoose }: { item: StockNeed; chosen: boolean; onChoose: () => void }) {
  const t = useTexts()
  return (
    <tr className={chosen ? 'governs' : ''}>
      <td>
        <button type="button" className="btn btn-link p-0 text-start" aria-pressed={chosen} onClick={onChoose}>
          {item.name}
        </button>
        {item.place ? <div className="soft small">{item.place}</div> : null}
      </td>
      <td className="text-end">{signed(item.onHand, item.unit, t)}</td>
      <td className="text-end">{item.needed > 0 ? figure(item.needed, item.unit, t) : ''}</td>
      <td className="text-end">{figure(item.least, item.unit, t)}</td>
      <td className="text-end">
        {item.order > 0 ? <span className="verdict look">{figure(item.order, item.unit, t)}</span> : ''}
      </td>
    </tr>
  )
}
