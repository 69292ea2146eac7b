'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { WATER_CHANGE_LIMITS } from '@/core/water/water-change-gate'
import { fillTanMgL, UNTESTED_FILL } from '@/core/water/fill-water'
import { mixedWater } from '@/core/water/mixing'
import type { ReadingKindName } from '@/core/water/readings'
import { waterVerdict } from '@/core/water/verdict'
import { waterChanges } from '@/core/water/water-changes'
import { DomainError } from '@/core/errors'
import { duration } from '@/domain/shared/dates'
import type { DosesData } from '@/server/water/doses'
import { QuantityField } from '@/ui/kit/quantity-field'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

/** Taken while the fill water has not been tested. @source usual mains and well water */
const USUAL_NITRATE_MG_L = 5

/** How many part changes bring a concentration to its target, a day apart, and how long each takes. */
export function ChangePlanner({ data }: { data: DosesData }) {
  const t = useTexts()

  const show = useShow()
  const nitrate = data.readings.find((r) => r.kind === 'nitrate')?.value ?? 60
  const [now, setNow] = useState<number | null>(nitrate)
  const [source, setSource] = useState<number | null>(data.gateFacts.fill?.nitrateMgL ?? USUAL_NITRATE_MG_L)
  const [target, setTarget] = useState<number | null>(Math.max(10, Math.round(nitrate / 2)))
  const [share, setShare] = useState<number | null>(WATER_CHANGE_LIMITS.share)
  const plan = planOf(now, source, target, share, t)
  const perChangeM3 = data.system.totalM3 * (share ?? 0)
  return (
    <section className="sheet" aria-label={t('water.changePlanner.waterChanges')}>
      <h2>{t('water.changePlanner.waterChanges')}</h2>
      <div className="field-grid">
        <QuantityField label={t('water.changePlanner.pondNow')} kind="concentration" value={now} onChange={setNow} />
        <QuantityField
          label={t('water.changePlanner.newWater')}
          kind="concentration"
          value={source}
          onChange={setSource}
        />
        <QuantityField
          label={t('water.changePlanner.wanted')}
          kind="concentration"
          value={target}
          onChange={setTarget}
        />
        <QuantityField
          label={t('water.changePlanner.shareChangedOnce')}
          kind="share"
          value={share}
          onChange={setShare}
        />
      </div>
      {share !== null && share > WATER_CHANGE_LIMITS.share + 0.005 ? (
        <p className="verdict stop">{t('water.changePlanner.moreThanThirdOnce')}</p>
      ) : null}
      <AmmoniaAfter data={data} share={share} />
      {typeof plan === 'string' ? (
        <p className="field-error">{plan}</p>
      ) : (
        <>
          <p className="dose-answer">
            <strong>
              {plan.count === 0
                ? t('water.changePlanner.noneNeeded')
                : t('water.changePlanner.count', { count: plan.count })}
            </strong>
            {plan.count > 0
              ? t('water.changePlanner.dayApartEachFills', {
                  perChangeM3: show(perChangeM3, 'volume'),
                  perChangeM32: duration((perChangeM3 / data.hoseM3PerH) * 60),
                })
              : ''}
          </p>
          {plan.count > 0 ? (
            <ol className="mb-1">
              {plan.afterEach.map((level, i) => (
                <li key={i}>{t('water.changePlanner.then', { level: show(level, 'concentration') })}</li>
              ))}
            </ol>
          ) : null}
          <Why>{t('water.changePlanner.afterNChangesWhat', { inletStepC: WATER_CHANGE_LIMITS.inletStepC })}</Why>
        </>
      )}
    </section>
  )
}

/** What ammonia becomes of one change, by the pond's last tests and the site's fill water. */
function AmmoniaAfter({ data, share }: { data: DosesData; share: number | null }) {
  const t = useTexts()
  const show = useShow()
  const tested = (kind: ReadingKindName) => data.readings.find((r) => r.kind === kind)?.value
  const { ph, khDH, chloramineMgL } = data.gateFacts.fill ?? UNTESTED_FILL
  const [pondTan, pondPh, pondKh, tempC] = [tested('tan'), tested('ph'), tested('kh'), tested('waterTemp')]
  const tanMgL = fillTanMgL({ chloramineMgL })
  if (share === null || !(share > 0 && share <= 1) || ((pondTan ?? 0) === 0 && tanMgL === 0)) return null
  if (pondTan === undefined || pondPh === undefined || pondKh === undefined || tempC === undefined)
    return <p className="soft">{t('water.changePlanner.testToJudgeAmmonia')}</p>
  if (ph === null || khDH === null) return <p className="soft">{t('water.changePlanner.testFillWater')}</p>
  const after = mixedWater({ tanMgL: pondTan, ph: pondPh, khDH: pondKh, tempC }, { ph, khDH, tempC, tanMgL }, share)
  const { bands } = waterVerdict({ tan: after.tanMgL, ph: after.airedPh, waterTemp: tempC })
  return (
    <p className="mb-2">
      {t('water.changePlanner.ammoniaAfter', {
        nh3: show(after.nh3MgL, 'concentration'),
        ph: show(after.airedPh, 'ph'),
      })}{' '}
      <span className={`verdict ${bands.tan!}`}>{t(`water.bandNames.${bands.tan!}`)}</span>
    </p>
  )
}

function planOf(now: number | null, source: number | null, target: number | null, share: number | null, t: Texts) {
  if ([now, source, target, share].some((v) => v === null || Number.isNaN(v)))
    return t('water.changePlanner.enterAllFour')
  try {
    return waterChanges(now!, source!, target!, share!)
  } catch (error) {
    if (error instanceof DomainError)
      return error.parameter === 'target'
        ? t('water.changePlanner.newWaterCannotBring')
        : t('water.changePlanner.shareLiesBetween1')
    throw error
  }
}
