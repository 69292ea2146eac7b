'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { shortDate } from '@/domain/shared/dates'
import { hazardLine, type Worry } from '@/domain/forecasts/forecast'
import { useShow } from '@/ui/person-context'

const OF_TEN = 10

/** One reason: what, how likely, when, and past which line. */
export function WorryText({ worry }: { worry: Worry }) {
  const t = useTexts()

  const show = useShow()
  const tenths = Math.max(1, Math.round(worry.whole * OF_TEN))
  return (
    <>
      <span className={`verdict ${worry.week >= 0.5 ? 'act' : 'watch'}`}>{worry.week >= 0.5 ? 'likely' : 'maybe'}</span>{' '}
      {t('forecasts.worryText.n10Runs', { hazard: t(`forecasts.hazardNames.${worry.hazard}`), worry: lineWords(worry, show, t), tenths })}{' '}
      <span className="soft">{t('forecasts.worryText.about', { day: shortDate(worry.day) })}</span>
    </>
  )
}

function lineWords({ hazard }: Worry, show: ReturnType<typeof useShow>, t: Texts): string {
  const line = hazardLine(hazard)
  switch (hazard) {
    case 'oxygen':
      return t('forecasts.worryText.belowNight', { line: show(line, 'concentration') })
    case 'ammonia':
    case 'nitrite':
      return t('forecasts.worryText.above', { line: show(line, 'concentration') })
    case 'heat':
      return t('forecasts.worryText.above', { line: show(line, 'temperature') })
    case 'level':
      return t('forecasts.worryText.down', { line: show(-line / 1000, 'length', { scale: 'small' }) })
    case 'murk':
      return t('forecasts.worryText.handNotSeenDeep', { line: show(line, 'length') })
  }
}
