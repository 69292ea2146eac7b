'use client'
import Link from 'next/link'
import type { PondFilesData } from '@/server/ponds/pond-pages'
import { useTexts } from '@/ui/kit/texts'
import { Sheet } from '../sheet'

/** Papers and pictures of a pond: reports, drawings, proposals, photos. */
export function FilesTab({ data }: { data: PondFilesData }) {
  const t = useTexts()

  const { pond, photos, reports, designs, proposals } = data
  const base = `/ponds/${pond.id}`
  return (
    <div className="columns wide-left">
      <Sheet title={t('ponds.files.photos')}>
        {photos.length === 0 ? <p className="soft mb-0">{t('ponds.files.noPhotos')}</p> : null}
        <div className="photo-row">
          {photos.map((photo) => (
            <figure key={photo.id}>
              <a href={`/api/v1/photos/${photo.id}`}>
                {/* eslint-disable-next-line @next/next/no-img-element -- small already */}
                <img
                  src={`/api/v1/photos/${photo.id}?size=thumbnail`}
                  alt={t('ponds.files.photoOf', { day: t.longDate(photo.takenAt.slice(0, 10)) })}
                  loading="lazy"
                />
              </a>
              <figcaption className="soft small">{t.datedDay(photo.takenAt.slice(0, 10))}</figcaption>
            </figure>
          ))}
        </div>
      </Sheet>
      <div>
        <Sheet title={t('ponds.files.reports')}>
          {reports.length === 0 ? <p className="soft mb-0">{t('ponds.files.noReports')}</p> : null}
          <ul className="plain-list">
            {reports.map((report) => (
              <li key={report.id} className="d-flex flex-wrap gap-2">
                <Link href={`/visits/${report.id}/report`}>
                  {report.jobName}, {t.longDate(report.day)}
                </Link>
                <a
                  className="ms-auto"
                  href={`/api/v1/visits/${report.id}/report.pdf`}
                  aria-label={t('ponds.files.reportPdf', { job: report.jobName, day: t.longDate(report.day) })}
                >
                  {t('ponds.files.pdf')}
                </a>
              </li>
            ))}
          </ul>
        </Sheet>
        <Sheet title={t('ponds.files.drawings')}>
          {designs.length === 0 ? <p className="soft mb-0">{t('ponds.files.noDesigns')}</p> : null}
          <ul className="plain-list">
            {designs.map((design) => (
              <li key={design.number}>
                <Link href={`${base}/design?version=${design.number}&part=drawings`}>
                  {t('ponds.pondView.version', { number: design.number, name: design.name })}
                </Link>{' '}
                <span className="soft">{t(`design.stateNames.${design.state}`)}</span>
              </li>
            ))}
          </ul>
        </Sheet>
        {proposals.length > 0 ? (
          <Sheet title={t('ponds.files.proposals')}>
            <ul className="plain-list">
              {proposals.map((proposal) => (
                <li key={proposal.id}>
                  <Link href={`${base}/design?part=price`}>
                    {t('ponds.files.proposal', { number: proposal.number, title: proposal.content.title })}
                  </Link>{' '}
                  <span className="soft">{t(`proposals.stateNames.${proposal.state}`)}</span>
                </li>
              ))}
            </ul>
          </Sheet>
        ) : null}
      </div>
    </div>
  )
}
