'use client'
import { isStanding } from '@/domain/design/design'
import { attentionOf, type PondState } from '@/domain/ponds/pond-state'
import { useTexts } from '@/ui/kit/texts'

/** How a pond stands, each in a word: its water, what threatens it, what is left to do, its filter. */
export function PondChips({ state }: { state: PondState }) {
  const t = useTexts()

  const { water, risk, followUpsDue, filter } = state
  return (
    <>
      {water ? (
        <span className={`verdict ${water}`}>{t('ponds.chips.water', { band: t(`water.bandNames.${water}`) })}</span>
      ) : (
        <span className="verdict unknown">{t('ponds.chips.noTest')}</span>
      )}
      {risk ? (
        <span className={`verdict ${attentionOf(state) === 'risk' ? 'act' : 'watch'}`}>
          {t('ponds.chips.risk', {
            hazard: t(`forecasts.hazardNames.${risk.hazard}`),
            percent: Math.max(1, Math.round(risk.whole * 100)),
          })}
        </span>
      ) : null}
      {followUpsDue > 0 ? (
        <span className="verdict watch">{t('ponds.chips.followUps', { count: followUpsDue })}</span>
      ) : null}
      <span className={`verdict ${filter && isStanding(filter) ? 'fine' : 'unknown'}`}>
        {filter ? t('ponds.chips.filter', { state: filter.state, number: filter.number }) : t('ponds.chips.noFilter')}
      </span>
    </>
  )
}
