'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { stockOutlook, winterPlaces, type StockDensity, type WinterPlace } from '@/core/fish/stock'
import { formatNumber } from '@/core/units/format'
import type { Pond } from '@/domain/ponds/pond'
import { useShow } from '@/ui/person-context'

const WINTER_WORDS: Readonly<Record<WinterPlace, TextId>> = {
  stays: textId('ponds.stockNote.canStayOutOver'),
  'at-risk': textId('ponds.stockNote.riskWinterWatchIce'),
  'comes-in': textId('ponds.stockNote.mustComeBeforeCold'),
}

/** How full the pond is now and with grown fish, and who stays out over winter. */
export function StockNote({
  pond,
  volumeM3,
  maxDepthM,
  years,
  coldestMonthC,
}: {
  pond: Pond
  volumeM3: number
  maxDepthM: number
  years: number
  coldestMonthC: number | null
}) {
  const t = useTexts()

  const show = useShow()
  if (pond.fish.length === 0) return <p className="soft mb-0 mt-2">{t('ponds.stockNote.noFish')}</p>
  const { now, grown } = stockOutlook(pond.fish, volumeM3, pond.use, years)
  const places = coldestMonthC === null ? [] : winterPlaces(pond.fish, coldestMonthC, maxDepthM)
  return (
    <div className="mt-2">
      <p className="mb-1">
        {pond.fish
          .map((f) =>
            t('ponds.stockNote.of', {
              count: f.count,
              name: t(`ponds.fishNamesInText.${f.species}`),
              lengthM: show(f.lengthM, 'length', { scale: 'small' }),
            }),
          )
          .join(', ')}
        .
      </p>
      <ul className="plain-list mb-0">
        <li>
          <Full density={now} />{' '}
          {t('ponds.stockNote.todayKgML', {
            massKg: show(now.massKg, 'mass'),
            kgPerM3: formatNumber(now.kgPerM3),
            litresPerCm: formatNumber(now.litresPerCm),
            toRehome: now.toRehome > 0 ? t('ponds.stockNote.findNewHome', { toRehome: now.toRehome }) : '',
          })}
        </li>
        <li>
          <Full density={grown} />{' '}
          {t('ponds.stockNote.yearsKgML', {
            years,
            massKg: show(grown.massKg, 'mass'),
            kgPerM3: formatNumber(grown.kgPerM3),
            litresPerCm: formatNumber(grown.litresPerCm),
            toRehome: grown.toRehome > 0 ? t('ponds.stockNote.thenTooMany', { toRehome: grown.toRehome }) : '',
          })}
        </li>
        {places
          .filter((p) => p.place !== 'stays')
          .map((p) => (
            <li key={p.species}>
              <span className={`verdict ${p.place === 'at-risk' ? 'look' : 'stop'}`}>
                {p.place === 'at-risk' ? t('ponds.stockNote.look') : t('ponds.stockNote.stop')}
              </span>{' '}
              {t(`ponds.fishNames.${p.species}`)} {t(WINTER_WORDS[p.place])}
            </li>
          ))}
      </ul>
    </div>
  )
}

const FULL_WORDS = {
  fine: ['pass', textId('ponds.stockNote.room')],
  full: ['look', textId('ponds.stockNote.full')],
  'too-many': ['stop', textId('ponds.stockNote.tooMany')],
} as const

function Full({ density }: { density: StockDensity }) {
  const t = useTexts()
  const [tone, word] = FULL_WORDS[density.verdict]
  return <span className={`verdict ${tone}`}>{t(word)}</span>
}
