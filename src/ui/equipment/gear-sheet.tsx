'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { nutrientsOut } from '@/core/plants/cuttings'
import { GEAR_STATES, type Gear } from '@/domain/equipment/gear'
import { useShow } from '@/ui/person-context'

const HEADINGS = {
  'on-pond': textId('equipment.gearSheet.pondNow'),
  stored: textId('equipment.gearSheet.stored'),
} as const

/** What stands on the pond for the season, what is stored where, and what this year's cuttings carried away. */
export function GearSheet({ gear, cuttingBuckets }: { gear: readonly Gear[]; cuttingBuckets: number }) {
  const t = useTexts()

  const show = useShow()
  const out = nutrientsOut(cuttingBuckets)
  return (
    <>
      {gear.length === 0 ? <p className="soft">{t('equipment.gearSheet.netsDeIcersWhat')}</p> : null}
      {GEAR_STATES.filter((state) => gear.some((g) => g.state === state)).map((state) => (
        <div key={state}>
          <h3 className="mb-1">{t(HEADINGS[state])}</h3>
          <ul className="plain-list">
            {gear
              .filter((g) => g.state === state)
              .map((g) => (
                <li key={g.id}>
                  {g.name} <span className="soft small">{t(`equipment.gearKindNames.${g.kind}`).toLowerCase()}</span>
                  <div className="soft small">
                    {t('equipment.gearSheet.since', {
                      place: g.place ? `${g.place}, ` : '',
                      since: t.shortDate(g.since.slice(0, 10)),
                      since2: g.since.slice(0, 4),
                    })}
                  </div>
                </li>
              ))}
          </ul>
        </div>
      ))}
      {cuttingBuckets > 0 ? (
        <p className="mb-0">
          {t('equipment.gearSheet.cuttingsYearBucketsAbout', {
            cuttingBuckets,
            freshKg: show(out.freshKg, 'mass'),
            nitrogenG: show(out.nitrogenG / 1000, 'mass', { scale: 'small' }),
            phosphorusG: show(out.phosphorusG / 1000, 'mass', { scale: 'small' }),
          })}
        </p>
      ) : null}
    </>
  )
}
