'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { hazardLine, type Risk } from '@/domain/forecasts/forecast'
import { useShow } from '@/ui/person-context'

/** One reason: what, how likely, when, and past which line. */
export function RiskText({ risk }: { risk: Risk }) {
  const t = useTexts()

  const show = useShow()
  const percent = Math.max(1, Math.round(risk.whole * 100))
  // the word is of the figure beside it
  const likely = risk.whole >= 0.5
  return (
    <>
      <span className={`verdict ${likely ? 'act' : 'watch'}`}>
        {t(likely ? 'forecasts.riskText.likely' : 'forecasts.riskText.maybe')}
      </span>{' '}
      {t('forecasts.riskText.inRuns', {
        hazard: t(`forecasts.hazardNames.${risk.hazard}`),
        risk: lineWords(risk, show, t),
        percent,
      })}{' '}
      <span className="soft">{t('forecasts.riskText.about', { day: t.shortDate(risk.day) })}</span>
    </>
  )
}

function lineWords({ hazard }: Risk, show: ReturnType<typeof useShow>, t: Texts): string {
  const line = hazardLine(hazard)
  switch (hazard) {
    case 'oxygen':
      return t('forecasts.riskText.belowNight', { line: show(line, 'concentration') })
    case 'ammonia':
    case 'nitrite':
      return t('forecasts.riskText.above', { line: show(line, 'concentration') })
    case 'heat':
      return t('forecasts.riskText.above', { line: show(line, 'temperature') })
    case 'level':
      return t('forecasts.riskText.down', { line: show(-line / 1000, 'length', { scale: 'small' }) })
    case 'murk':
      return t('forecasts.riskText.handNotSeenDeep', { line: show(line, 'length') })
  }
}
