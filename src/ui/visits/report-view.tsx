'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { ammoniaWords } from '@/messages/water/ammonia-words'
import { figureWords } from '@/messages/water/figure-words'
import {
  customerWords,
  doseLines,
  fishWords,
  notedLines,
  officeLines,
  partWords,
  remarkWords,
} from '@/messages/visits/report-words'
import { readingQuantity, readingScale } from '@/domain/water/reading-names'
import type { ReportPage } from '@/server/visits/report'
import { usePerson, useShow } from '@/ui/person-context'

/** Where a customer's own page keeps its photos; given when the reader is the customer. */
interface CustomerPageBase {
  readonly photos: string
}

/** The customer's report of a visit, written from its log. */
export function ReportView({
  page,
  customerPage = null,
}: {
  page: ReportPage
  customerPage?: CustomerPageBase | null
}) {
  const t = useTexts()

  const { report, meanings, photos, firmName } = page
  const { visit } = report
  const fish = fishWords(report, t)
  const show = useShow()
  const { preferences } = usePerson()
  return (
    <article className="mx-auto" style={{ maxWidth: '52rem' }}>
      <div className="page-head">
        <h1>
          {visit.job.name}: {visit.pondName}
        </h1>
        {customerPage ? null : (
          <span className="actions no-print">
            <a
              className="btn btn-sm btn-primary"
              href={`/api/v1/visits/${visit.id}/report.pdf`}
              target="_blank"
              rel="noreferrer"
            >
              {t('visits.reportView.openPdf')}
            </a>
            <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${visit.pondId}`}>
              {t('visits.reportView.openPond')}
            </Link>
          </span>
        )}
      </div>
      <p className="soft">
        {visit.siteName}
        {visit.town ? `, ${visit.town}` : ''} · {t.longDate(report.day)} · {report.crew.join(', ')} · {firmName}
      </p>
      <section className="sheet" style={{ borderLeft: '4px solid var(--reed)' }}>
        {customerWords(report, meanings, preferences.units, t).map((words) => (
          <p className="mb-1" key={words}>
            {words}
          </p>
        ))}
        {report.followUps.map((next) => (
          <p className="mb-0" key={next.title}>
            {t('visits.reportView.nextBetween', {
              title: next.title,
              from: t.longDate(next.from),
              to: t.longDate(next.to),
            })}
          </p>
        ))}
      </section>
      {photos.length > 0 ? (
        <div className="d-flex flex-wrap gap-3 mb-3">
          {photos.map((photo, i) => {
            const words = PHOTO_WORDS[whenTaken(i, photos.length)]
            return (
              <figure key={photo.id} className="mb-0" style={{ width: 'min(24rem, 100%)' }}>
                {/* photos need the session, which next/image does not send */}
                {/* eslint-disable-next-line @next/next/no-img-element */}
                <img
                  src={customerPage ? `${customerPage.photos}/${photo.id}` : `/api/v1/photos/${photo.id}`}
                  alt={t(words.alt)}
                  style={{ width: '100%', aspectRatio: '4 / 3', objectFit: 'cover' }}
                />
                <figcaption className="soft">{t(words.caption)}</figcaption>
              </figure>
            )
          })}
        </div>
      ) : null}
      {meanings.length > 0 ? (
        <section className="sheet">
          <h2>{t('visits.reportView.water')}</h2>
          <div className="table-responsive" tabIndex={0} role="region" aria-label={t('visits.reportView.water')}>
            <table className="table table-sm mb-0">
              <thead>
                <tr>
                  <th>{t('visits.reportView.test')}</th>
                  <th className="text-end">{t('visits.reportView.before')}</th>
                  <th className="text-end">{t('visits.reportView.after')}</th>
                  <th>{t('visits.reportView.meaning')}</th>
                </tr>
              </thead>
              <tbody>
                {meanings.map((m) => {
                  const figure = (v: number | null) =>
                    v === null ? '' : show(v, readingQuantity(m.kind), { scale: readingScale(m.kind) })
                  return (
                    <tr key={m.kind}>
                      <th scope="row" className="fw-normal">
                        {t(`water.readingNames.${m.kind}`)}
                      </th>
                      <td className="text-end">{figure(m.before)}</td>
                      <td className="text-end">{m.noneFound ? t('visits.reportView.noneFound') : figure(m.after)}</td>
                      <td>
                        <span className={`verdict ${m.band}`}>{t(`water.bandNames.${m.band}`)}</span>
                        {m.kind === 'tan' ? ` ${ammoniaWords(m, preferences.units, t)}` : ''}
                      </td>
                    </tr>
                  )
                })}
              </tbody>
            </table>
          </div>
        </section>
      ) : null}
      {fish ? (
        <section className="sheet">
          <h2>{t('visits.reportView.fish')}</h2>
          {fish}
        </section>
      ) : null}
      <section className="sheet">
        <h2>{t('visits.reportView.whatDone')}</h2>
        {report.sections.map((section) => (
          <div key={section.title}>
            <h3 className="mt-2 mb-1">{section.title}</h3>
            <ul className="mb-1">
              {section.done.map((step) => (
                <li key={step.title}>
                  {step.title}
                  <Remark words={remarkWords(step.remark, t)} />
                  {step.figures.length > 0 ? (
                    <span>
                      {' '}
                      ({step.figures.map(([figure, value]) => figureWords(figure, value, show, t)).join(', ')})
                    </span>
                  ) : null}
                </li>
              ))}
            </ul>
          </div>
        ))}
      </section>
      <Lines title={t('visits.reportView.given')} lines={doseLines(report)} />
      <Lines title={t('visits.reportView.partsRenewed')} lines={report.parts.map((part) => partWords(part, t))} />
      <Lines title={t('visits.reportView.noted')} lines={notedLines(report, t)} />
      {customerPage ? null : (
        <Lines title={t('visits.reportView.office')} lines={officeLines(report, t)} className="no-print" />
      )}
    </article>
  )
}

function Lines({ title, lines, className = '' }: { title: string; lines: readonly string[]; className?: string }) {
  if (lines.length === 0) return null
  return (
    <section className={`sheet ${className}`}>
      <h2>{title}</h2>
      <ul className="mb-0">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  )
}

const PHOTO_WORDS = {
  before: { alt: textId('visits.reportView.pondBefore'), caption: textId('visits.reportView.before') },
  after: { alt: textId('visits.reportView.pondAfter'), caption: textId('visits.reportView.after') },
  'that-day': { alt: textId('visits.reportView.pondDay'), caption: textId('visits.reportView.day') },
}

/** Of two photos the first shows the pond before the work. */
const whenTaken = (i: number, photos: number): keyof typeof PHOTO_WORDS => {
  if (photos !== 2) return 'that-day'
  return i === 0 ? 'before' : 'after'
}

function Remark({ words }: { words: string }) {
  return words === '' ? null : <span className="soft">: {words}</span>
}
