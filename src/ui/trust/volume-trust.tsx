'use client'
import Link from 'next/link'
import Table from 'react-bootstrap/Table'
import type { VolumeMethod } from '@/core/survey/volume-evidence'
import type { TrustData } from '@/server/trust/trust-page'
import { useTexts } from '@/ui/kit/texts'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'
import { ShareWords } from './share-words'

/** How volumes came true where a surer way was measured as well, and ponds whose ways do not agree. */
export function VolumeTrust({ volumes: { checks, held, open } }: { volumes: TrustData['volumes'] }) {
  const t = useTexts()
  const show = useShow()
  return (
    <section className="sheet" aria-label={t('trust.volumes.title')}>
      <h2>{t('trust.volumes.title')}</h2>
      {held === null ? (
        <p className="soft mb-0">{t('trust.view.none')}</p>
      ) : (
        <>
          <p className="mb-1">
            <ShareWords share={held} bandOf={checks.length} />
          </p>
          <Table size="sm" responsive className="mb-1">
            <thead>
              <tr>
                <th scope="col">{t('trust.volumes.pond')}</th>
                <th scope="col">{t('trust.volumes.said')}</th>
                <th scope="col">{t('trust.volumes.came')}</th>
                <th scope="col">{t('trust.volumes.inside')}</th>
              </tr>
            </thead>
            <tbody>
              {checks.map((check) => (
                <tr key={check.pondId}>
                  <th scope="row" className="fw-normal">
                    <Link href={`/ponds/${check.pondId}/survey`}>{check.pondName}</Link>
                  </th>
                  <td>
                    {t('trust.volumes.range', {
                      low: show(check.lowM3, 'volume'),
                      high: show(check.highM3, 'volume'),
                    })}
                  </td>
                  <td>
                    {t('trust.volumes.cameBy', {
                      volume: show(check.cameM3, 'volume'),
                      method: t(`survey.volumeMethods.${check.method as VolumeMethod}`),
                    })}
                  </td>
                  <td>{check.held ? t('trust.volumes.yes') : t('trust.volumes.no')}</td>
                </tr>
              ))}
            </tbody>
          </Table>
          {open.length > 0 ? (
            <p className="mb-1">
              {t('trust.volumes.open')}{' '}
              {open.map(({ pondId, pondName }, i) => (
                <span key={pondId}>
                  {i > 0 ? ', ' : ''}
                  <Link href={`/ponds/${pondId}/survey`}>{pondName}</Link>
                </span>
              ))}
            </p>
          ) : null}
          <Why>{t('trust.volumes.how')}</Why>
        </>
      )}
    </section>
  )
}
