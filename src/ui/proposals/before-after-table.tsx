'use client'
import { beforeAfter, BEFORE_AFTER_ROWS } from '@/domain/proposals/before-after'
import type { ProposalContent } from '@/domain/proposals/proposal'
import { comparedFigure, comparedName } from '@/messages/proposals/before-after-words'
import { useTexts } from '@/ui/kit/texts'

const COLUMN_REM = 6

/** The filter as it was found beside what is proposed. */
export function BeforeAfterTable({ content }: { content: ProposalContent }) {
  const t = useTexts()
  const filters = beforeAfter(content)
  if (!filters) return null
  return (
    <section className="sheet" aria-label={t('proposals.beforeAfter.title')}>
      <h2>{t('proposals.beforeAfter.title')}</h2>
      <div className="table-responsive" tabIndex={0} role="region" aria-label={t('proposals.beforeAfter.table')}>
        {/* three columns stand side by side on a phone; more are reached by scrolling */}
        <table
          className="table table-sm of-sentences mb-1"
          style={{ tableLayout: 'fixed', minWidth: `${COLUMN_REM * (filters.length + 1)}rem` }}
        >
          <thead>
            <tr>
              <th />
              {filters.map((filter) => (
                <th key={filter.option ?? 'today'}>{comparedName(filter, content, t)}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {BEFORE_AFTER_ROWS.map((row) => (
              <tr key={row}>
                <th scope="row" className="fw-normal">
                  {t(`proposals.beforeAfterRows.${row}`)}
                </th>
                {filters.map((filter) => (
                  <td key={filter.option ?? 'today'}>{comparedFigure(row, filter, content, t)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="soft small mb-0">{t('proposals.beforeAfter.calculated')}</p>
    </section>
  )
}
