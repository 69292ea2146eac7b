'use client'
import Link from 'next/link'
import { attentionOf, type Attention } from '@/domain/ponds/pond-state'
import type { PondLine } from '@/server/ponds/ponds'
import { useTexts } from '@/ui/kit/texts'

const LOOK: Readonly<Record<Attention, string>> = {
  emergency: 'emergency',
  act: 'act',
  risk: 'act',
  'follow-up': 'watch',
  watch: 'watch',
  none: 'fine',
}

/** What of a pond asks for a decision, in one chip; what it is about is a press away. */
export function PondStatus({ pond }: { pond: PondLine }) {
  const t = useTexts()

  const attention = attentionOf(pond)
  const base = `/ponds/${pond.id}`
  switch (attention) {
    case 'emergency':
    case 'act':
    case 'watch':
      return (
        <Link href={`${base}/water`} className={`verdict ${LOOK[attention]}`}>
          {t('ponds.chips.water', { band: t(`water.bandNames.${attention}`) })}
        </Link>
      )
    case 'risk':
      return (
        <Link href={`${base}/forecast`} className={`verdict ${LOOK[attention]}`}>
          {t('ponds.chips.risk', {
            hazard: t(`forecasts.hazardNames.${pond.risk!.hazard}`),
            percent: Math.round(pond.risk!.whole * 100),
          })}
        </Link>
      )
    case 'follow-up':
      return (
        <Link href={`${base}/visits`} className={`verdict ${LOOK[attention]}`}>
          {t('ponds.chips.followUps', { count: pond.followUpsDue })}
        </Link>
      )
    case 'none':
      return pond.water === null ? (
        <span className="verdict unknown">{t('ponds.chips.noTest')}</span>
      ) : (
        <span className="verdict fine">{t('ponds.chips.water', { band: t('water.bandNames.fine') })}</span>
      )
  }
}
