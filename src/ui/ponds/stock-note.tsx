'use client'
import { stockOutlook, winterPlaces, type StockDensity, type WinterPlace } from '@/core/fish/stock'
import { FISH_SPECIES } from '@/core/fish/species'
import { formatNumber } from '@/core/units/format'
import type { Pond } from '@/domain/ponds/pond'
import { useShow } from '@/ui/person-context'

const WINTER_WORDS: Readonly<Record<WinterPlace, string>> = {
  stays: 'can stay out over winter',
  worry: 'are a worry in winter: watch the ice, keep a hole open, leave the bottom water still',
  'comes-in': 'must come in before the cold',
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
  const show = useShow()
  if (pond.fish.length === 0) return <p className="soft mb-0 mt-2">No fish.</p>
  const { now, grown } = stockOutlook(pond.fish, volumeM3, pond.use, years)
  const places = coldestMonthC === null ? [] : winterPlaces(pond.fish, coldestMonthC, maxDepthM)
  return (
    <div className="mt-2">
      <p className="mb-1">
        {pond.fish.map((f) => `${f.count} ${FISH_SPECIES[f.species].name.toLowerCase()} of ${show(f.lengthM, 'length', { scale: 'small' })}`).join(', ')}.
      </p>
      <ul className="plain-list mb-0">
        <li>
          <Full density={now} /> today {show(now.massKg, 'mass')}, {formatNumber(now.kgPerM3)} kg/m³, {formatNumber(now.litresPerCm)} L for each cm of fish
          {now.toRehome > 0 ? `; find a new home for ${now.toRehome}` : ''}
        </li>
        <li>
          <Full density={grown} /> in {years} years {show(grown.massKg, 'mass')}, {formatNumber(grown.kgPerM3)} kg/m³, {formatNumber(grown.litresPerCm)} L for
          each cm
          {grown.toRehome > 0 ? `; then ${grown.toRehome} too many` : ''}
        </li>
        {places
          .filter((p) => p.place !== 'stays')
          .map((p) => (
            <li key={p.species}>
              <span className={`verdict ${p.place === 'worry' ? 'look' : 'stop'}`}>{p.place === 'worry' ? 'Look' : 'Stop'}</span> {FISH_SPECIES[p.species].name}{' '}
              {WINTER_WORDS[p.place]}
            </li>
          ))}
      </ul>
    </div>
  )
}

const FULL_WORDS = { fine: ['pass', 'Room'], full: ['look', 'Full'], 'too-many': ['stop', 'Too many'] } as const

function Full({ density }: { density: StockDensity }) {
  const [tone, word] = FULL_WORDS[density.verdict]
  return <span className={`verdict ${tone}`}>{word}</span>
}
