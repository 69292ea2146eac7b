'use client'
import Table from 'react-bootstrap/Table'
import { jobName } from '@/messages/visits/visit-words'
import type { TrustData } from '@/server/trust/trust-page'
import { useTexts } from '@/ui/kit/texts'
import { Why } from '@/ui/kit/why'
import { ShareWords } from './share-words'

/** How planned durations came true, by job. */
export function DurationTrust({ durations: { since, lines } }: { durations: TrustData['durations'] }) {
  const t = useTexts()
  return (
    <section className="sheet" aria-label={t('trust.durations.title')}>
      <h2>{t('trust.durations.title')}</h2>
      {lines.length === 0 ? (
        <p className="soft mb-0">{t('trust.view.none')}</p>
      ) : (
        <>
          <Table size="sm" responsive className="mb-1">
            <thead>
              <tr>
                <th scope="col">{t('trust.durations.job')}</th>
                <th scope="col">{t('trust.durations.visits')}</th>
                <th scope="col">{t('trust.durations.inside')}</th>
                <th scope="col">{t('trust.durations.took')}</th>
              </tr>
            </thead>
            <tbody>
              {lines.map(({ job, visits, inside, tookOverPlanned }) => (
                <tr key={job ?? ''}>
                  <th scope="row" className={job === null ? undefined : 'fw-normal'}>
                    {job === null ? t('trust.durations.allJobs') : jobName(job, t)}
                  </th>
                  <td>{visits}</td>
                  <td>
                    <ShareWords share={inside} bandOf={visits} />
                  </td>
                  <td>{t('trust.durations.tookOver', { percent: Math.round(100 * tookOverPlanned) })}</td>
                </tr>
              ))}
            </tbody>
          </Table>
          <Why>{t('trust.durations.how', { since: t.longDate(since) })}</Why>
        </>
      )}
    </section>
  )
}
