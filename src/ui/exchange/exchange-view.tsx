'use client'
import { useTexts } from '@/ui/kit/texts'
import type { ExchangeData } from '@/server/exchange/exchange-page'
import { BusyPart } from './busy-part'
import { FeedsPart } from './feeds-part'
import { FilePart } from './file-part'
import { KeysPart } from './keys-part'

/** What comes in and goes out in open formats. */
export function ExchangeView({ data }: { data: ExchangeData }) {
  const t = useTexts()

  return (
    <>
      <div className="page-head">
        <h1>{t('exchange.exchangeView.exchange')}</h1>
        <span className="soft">{t('exchange.exchangeView.calendarsTablesMapsOut')}</span>
      </div>
      <div className="columns">
        <div>
          <FeedsPart data={data} />
          <BusyPart data={data} />
          {data.keys ? <KeysPart keys={data.keys} /> : null}
        </div>
        <FilePart data={data} />
      </div>
    </>
  )
}
