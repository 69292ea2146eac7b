'use client'
import type { Check } from '@/core/filter/checks'
import { checkWords } from '@/ui/messages/checks'
import { useShow } from '@/ui/person-context'

const VERDICT_NAMES = { pass: 'Pass', look: 'Look', stop: 'Stop' } as const

/** The checks of a design: verdict, figure, and opened up the reason and the remedy. */
export function CheckList({ checks }: { checks: readonly Check[] }) {
  const show = useShow()
  return (
    <div className="checks">
      {checks.map((check) => {
        const words = checkWords(check, show)
        return (
          <details key={check.id}>
            <summary>
              <span className={`verdict ${check.verdict}`}>{VERDICT_NAMES[check.verdict]}</span>
              <span>
                {words.title}
                <span className="soft d-block small">{words.figure}</span>
              </span>
            </summary>
            <p className="small mb-1 mt-1">{words.reason}</p>
            {check.verdict === 'pass' ? null : <p className="small mb-1">To mend it: {words.remedy}</p>}
          </details>
        )
      })}
    </div>
  )
}
