'use client'
import Table from 'react-bootstrap/Table'
import type { TrustData } from '@/server/trust/trust-page'
import { useTexts } from '@/ui/kit/texts'
import { Why } from '@/ui/kit/why'
import { ShareWords } from './share-words'

/** How causes that were acted on came true, leaks apart. */
export function CallTrust({ calls: { all, leaks } }: { calls: TrustData['calls'] }) {
  const t = useTexts()
  const none = all.every(({ calls }) => calls === 0)
  return (
    <section className="sheet" aria-label={t('trust.calls.title')}>
      <h2>{t('trust.calls.title')}</h2>
      {none ? (
        <p className="soft mb-0">{t('trust.view.none')}</p>
      ) : (
        <>
          <CallTable lines={all} />
          <h3 className="h6 mt-2">{t('trust.calls.leaks')}</h3>
          {leaks.every(({ calls }) => calls === 0) ? (
            <p className="soft mb-1">{t('trust.view.none')}</p>
          ) : (
            <CallTable lines={leaks} />
          )}
          <Why>{t('trust.calls.how')}</Why>
        </>
      )}
    </section>
  )
}

function CallTable({ lines }: { lines: TrustData['calls']['all'] }) {
  const t = useTexts()
  return (
    <Table size="sm" responsive className="mb-1">
      <thead>
        <tr>
          <th scope="col">{t('trust.calls.said')}</th>
          <th scope="col">{t('trust.calls.calls')}</th>
          <th scope="col">{t('trust.calls.better')}</th>
          <th scope="col">{t('trust.calls.partly')}</th>
          <th scope="col">{t('trust.calls.waiting')}</th>
          <th scope="col">{t('trust.calls.share')}</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line, i) => (
          <tr key={line.from}>
            <th scope="row" className="fw-normal">
              {t('trust.calls.from', {
                from: Math.round(100 * line.from),
                to: Math.round(100 * (lines[i + 1]?.from ?? 1)),
              })}
            </th>
            <td>{line.calls}</td>
            <td>{line.better}</td>
            <td>{line.partly}</td>
            <td>{line.waiting}</td>
            <td>{line.share ? <ShareWords share={line.share} /> : '–'}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  )
}
