'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { jobNameInText } from '@/messages/visits/visit-words'
import type { RiskLine } from '@/server/forecasts/forecast-repository'
import { RiskText } from './risk-text'

/** Ponds at risk by the forecast, with the reasons and the visit that would help. */
export function RiskLines({ lines, mayPlan }: { lines: readonly RiskLine[]; mayPlan: boolean }) {
  const t = useTexts()

  return (
    <ul className="plain-list">
      {lines.map((line) => (
        <li key={line.pondId}>
          <span className="d-flex flex-wrap gap-2 align-items-baseline">
            <Link href={`/ponds/${line.pondId}/forecast`}>
              {line.siteName}: {line.pondName}
            </Link>
            {mayPlan ? (
              <Link className="ms-auto small" href={`/ponds/${line.pondId}/plan?job=${line.risks[0]!.jobKey}`}>
                {t('forecasts.riskLines.plan', {
                  name: jobNameInText(line.risks[0]!.jobKey, t),
                })}
              </Link>
            ) : null}
          </span>
          {line.risks.slice(0, 2).map((risk) => (
            <div key={risk.hazard} className="small">
              <RiskText risk={risk} />
            </div>
          ))}
        </li>
      ))}
    </ul>
  )
}
