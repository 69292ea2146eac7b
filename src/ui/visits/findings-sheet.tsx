'use client'
import { useTexts } from '@/ui/kit/texts'
import { type Finding } from '@/domain/visits/finding'
import { may } from '@/domain/people/roles'
import { ProblemNote } from '@/ui/kit/problem-note'
import { usePerson } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'

/** What visits found and nobody has settled: lines for a quote, notes for next season. */
export function FindingsSheet({ findings, withPond = false }: { findings: readonly Finding[]; withPond?: boolean }) {
  const t = useTexts()

  const { role } = usePerson()
  const { problem, save } = useSave()
  if (findings.length === 0) return null
  return (
    <>
      <h3 className="mt-2">{t('visits.findingsSheet.foundVisits')}</h3>
      <ul className="plain-list">
        {findings.map((f) => (
          <li key={f.id} className="d-flex gap-2 align-items-baseline flex-wrap">
            <span>
              {withPond ? `${f.siteName}: ` : ''}
              {f.text}{' '}
              <span className="soft small">
                {t(`visits.findingUseNames.${f.becomes}`).toLowerCase()}, {t.shortDate(f.foundOn)}
              </span>
            </span>
            {may(role, 'visits.log') ? (
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary ms-auto no-print"
                onClick={() => void save('POST', `/api/v1/findings/${f.id}/settle`, {})}
                aria-label={t('visits.findingsSheet.settled', { text: f.text })}
              >
                {t('visits.findingsSheet.settled2')}
              </button>
            ) : null}
          </li>
        ))}
      </ul>
      <ProblemNote problem={problem} />
    </>
  )
}
