'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import {
  COMPANION_FACTS,
  COMPANION_KINDS,
  isSkimmer,
  mediaSurfaceM2,
  solidsLeft,
  washWaterM3PerD,
  type Companion,
  type CompanionKind,
} from '@/core/filter/companions'
import { CHECK_LIMITS } from '@/core/filter/checks/check'
import { formatNumber } from '@/core/units/format'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useShow } from '@/ui/person-context'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'

const USUAL_MEDIA_L: Partial<Record<CompanionKind, number>> = {
  'falls-box': 60,
  pressurised: 60,
  'moving-bed': 100,
  'trickle-tower': 120,
}
const USUAL_MOUTH_M = 0.25
const SKIMMER_SERVES_M2 = CHECK_LIMITS.skimmerServesM2
const SKIMMER_FITS = textId('design.besidePart.intoExistingPondWall')

/**
 * Equipment beside the bed: skimmers and filters that share the load, lamps and doses, each with what it costs in
 * head, water and care.
 */
export function BesidePart({ data, bed, shown, set, errorOf }: DesignPart) {
  const t = useTexts()

  const show = useShow()
  const { result } = shown
  const add = (kind: CompanionKind) =>
    set({
      companions: [
        ...bed.companions,
        {
          kind,
          mediaL: USUAL_MEDIA_L[kind] ?? 0,
          ratedFlowM3PerH: Math.max(1, Math.round(result.flowM3PerH)),
          weirM: isSkimmer(kind) ? USUAL_MOUTH_M : 0,
        },
      ],
    })
  const change = (index: number, part: Partial<Companion>) =>
    set({ companions: bed.companions.map((c, i) => (i === index ? { ...c, ...part } : c)) }, `beside${index}`)
  return (
    <section className="sheet">
      <h2>{t('design.besidePart.besideBed')}</h2>
      {bed.companions.length === 0 ? <p className="soft">{t('design.besidePart.nothingYetSkimmerKeeps')}</p> : null}
      {bed.companions.map((c, i) => {
        const facts = COMPANION_FACTS[c.kind]
        return (
          <div key={i} className="companion">
            <div className="d-flex gap-2 align-items-baseline">
              <strong>{t(`design.companionNames.${c.kind}`)}</strong>
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary ms-auto"
                aria-label={t('design.besidePart.remove', { kind: t(`design.companionNames.${c.kind}`) })}
                onClick={() => set({ companions: bed.companions.filter((_, n) => n !== i) })}
              >
                ×
              </button>
            </div>
            <div className="field-grid">
              <QuantityField
                label={t('design.besidePart.ratedFlow')}
                kind="flow"
                value={c.ratedFlowM3PerH}
                onChange={(v) => change(i, { ratedFlowM3PerH: orNaN(v) })}
                error={errorOf(`companions.${i}.ratedFlowM3PerH`)}
              />
              {facts.mediaM2PerL > 0 ? (
                <QuantityField
                  label={t('design.besidePart.media')}
                  kind="volume"
                  scale="small"
                  value={c.mediaL / 1000}
                  onChange={(v) => change(i, { mediaL: orNaN(v) * 1000 })}
                  error={errorOf(`companions.${i}.mediaL`)}
                />
              ) : null}
              {isSkimmer(c.kind) ? (
                <QuantityField
                  label={t('design.besidePart.mouth')}
                  kind="length"
                  scale="small"
                  value={c.weirM}
                  onChange={(v) => change(i, { weirM: orNaN(v) })}
                  error={errorOf(`companions.${i}.weirM`)}
                />
              ) : null}
            </div>
            <p className="soft small mb-0">
              {[
                facts.mediaM2PerL > 0
                  ? t('design.besidePart.mediaSurface', { mediaL: show(c.mediaL * facts.mediaM2PerL, 'area') })
                  : '',
                facts.inline
                  ? t('design.besidePart.headFlow', {
                      headM: show(facts.headM * (result.flowM3PerH / c.ratedFlowM3PerH) ** 2, 'length', {
                        scale: 'small',
                      }),
                    })
                  : t('design.besidePart.ownLine'),
                facts.solidsShare > 0
                  ? t('design.besidePart.keepsSolidsFromBed', { solidsShare: show(facts.solidsShare, 'share') })
                  : '',
                facts.washM3 > 0
                  ? t('design.besidePart.washesAwayDay', { washM3: show(facts.washM3 * facts.washesPerDay, 'volume') })
                  : '',
                facts.powerWPer10M3PerH > 0
                  ? `${formatNumber((facts.powerWPer10M3PerH * c.ratedFlowM3PerH) / 10)} W`
                  : '',
                t('design.besidePart.caredEvery', {
                  serviceMonths:
                    facts.serviceMonths === 1
                      ? 'month'
                      : t('design.besidePart.months', { serviceMonths: facts.serviceMonths }),
                }),
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          </div>
        )
      })}
      {bed.companions.some((c) => isSkimmer(c.kind)) ? (
        <p className="soft small mb-1">
          {t('design.besidePart.skimmerServesAboutSurface', {
            skimmerFits: t(SKIMMER_FITS),
            skimmerServesM2: show(SKIMMER_SERVES_M2, 'area'),
            value: Math.max(1, Math.ceil(data.designPond.areaM2 / SKIMMER_SERVES_M2)),
          })}
        </p>
      ) : null}
      <ChoiceField
        label={t('design.besidePart.add')}
        value=""
        onChange={(e) => e.target.value && add(e.target.value as CompanionKind)}
        options={[
          { value: '', label: t('design.besidePart.chooseEquipment') },
          ...COMPANION_KINDS.map((kind) => ({ value: kind, label: t(`design.companionNames.${kind}`) })),
        ]}
      />
      {bed.companions.length > 0 ? (
        <p className="mt-2 mb-0">
          {t('design.besidePart.togetherMediaMuchBed', {
            companions: show(mediaSurfaceM2(shown.bed.companions), 'area'),
            mediaAsBedM3: show(result.treatment.mediaAsBedM3, 'volume'),
            companions2: show(solidsLeft(shown.bed.companions), 'share'),
            companions3:
              washWaterM3PerD(shown.bed.companions) > 0
                ? t('design.besidePart.washWaterDayTopped', { washWaterM3PerD: show(result.washWaterM3PerD, 'volume') })
                : '',
          })}
        </p>
      ) : null}
    </section>
  )
}
