'use client'
import type { TrustData } from '@/server/trust/trust-page'
import { AccuracySheet } from '@/ui/forecasts/accuracy-sheet'
import { useTexts } from '@/ui/kit/texts'
import { CallTrust } from './call-trust'
import { DurationTrust } from './duration-trust'
import { VolumeTrust } from './volume-trust'

/** What was said beforehand held against what came, for the owner. */
export function TrustView({ data: { accuracy, durations, volumes, calls } }: { data: TrustData }) {
  const t = useTexts()
  return (
    <>
      <div className="page-head">
        <h1>{t('trust.view.title')}</h1>
        <span className="soft">{t('trust.view.intro')}</span>
      </div>
      <DurationTrust durations={durations} />
      <VolumeTrust volumes={volumes} />
      <CallTrust calls={calls} />
      <AccuracySheet accuracy={accuracy} />
    </>
  )
}
