'use client'
import type { Estimate } from '@/core/statistics/wilson'
import { useTexts } from '@/ui/kit/texts'

/** What a band from 10 to 90 % ought to hold. */
const BAND_HOLDS = 0.8
/** Of fewer cases nothing is called too little. */
const FEW = 8

const percent = (share: number): number => Math.round(100 * share)

/**
 * A share with how far its cases can tell.
 * @param bandOf cases of a band from 10 to 90 %: marked where it clearly holds less than it ought to
 */
export function ShareWords({ share: { value, low, high }, bandOf = 0 }: { share: Estimate; bandOf?: number }) {
  const t = useTexts()
  const words = t('trust.view.share', { share: percent(value), low: percent(low), high: percent(high) })
  return bandOf >= FEW && high < BAND_HOLDS ? <span className="verdict look">{words}</span> : <>{words}</>
}
