'use client'
import { useTexts } from '@/ui/kit/texts'
import { BED_MATERIALS, BED_MATERIAL_KEYS, type BedMaterialKey } from '@/core/filter/bed/layers'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import { FEEDS } from '@/core/filter/design-input'
import { formatNumber } from '@/core/units/format'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { Why } from '@/ui/kit/why'
import { BedSection } from '@/ui/drawing/bed-section'
import { useShow } from '@/ui/person-context'
import { orNaN, type DesignPart } from '@/ui/design/use-design'

const MIN_LAYER_M = 0.01

/** The bed's build-up: drag the boundaries in the section or type thicknesses; feed, vault, air break. */
export function BedPart(part: DesignPart) {
  const t = useTexts()

  const { bed, shown, set, errorOf } = part
  const show = useShow()
  if (bed.type === 'none') return <p className="sheet">{t('design.bedPart.thereNoBedDesign')}</p>
  const { path, vessels } = FILTER_TYPE_FACTS[bed.type]
  const setLayer = (index: number, change: Partial<(typeof bed.layers)[number]>) =>
    set({ layers: bed.layers.map((layer, i) => (i === index ? { ...layer, ...change } : layer)) }, `layer${index}`)
  /** The boundary above a layer moves: it takes from the next, or grows the bed at its top. */
  const moveBoundary = (index: number, thicknessM: number) => {
    const above = bed.layers[index + 1]
    const grown = thicknessM - bed.layers[index]!.thicknessM
    if (!above) return setLayer(index, { thicknessM: Math.max(MIN_LAYER_M, thicknessM) })
    const moved = Math.min(above.thicknessM - MIN_LAYER_M, Math.max(MIN_LAYER_M - bed.layers[index]!.thicknessM, grown))
    set(
      {
        layers: bed.layers.map((layer, i) => {
          if (i === index) return { ...layer, thicknessM: tidy(layer.thicknessM + moved) }
          if (i === index + 1) return { ...layer, thicknessM: tidy(layer.thicknessM - moved) }
          return layer
        }),
      },
      `boundary${index}`,
    )
  }
  const fromTop = bed.layers.map((layer, index) => ({ layer, index })).reverse()
  return (
    <>
      <section className="sheet">
        <h2>
          {t('design.bedPart.bedSection')} <span data-testid="bed-area">{show(shown.result.areaM2, 'area')}</span>
        </h2>
        <BedSection
          bed={shown.bed}
          rootShare={path === 'along' ? shown.result.rootShare : null}
          onMoveEdge={moveBoundary}
        />
        <Loads {...part} />
      </section>
      <div className="columns two">
        <section className="sheet">
          <h2>{t('design.bedPart.layersTopBottom')}</h2>
          {fromTop.map(({ layer, index }) => (
            <div key={index} className="repeat-row" style={{ gridTemplateColumns: '2.3fr 1fr 2.4rem' }}>
              <ChoiceField
                label={t('design.bedPart.layerMaterial', { index: index + 1 })}
                hideLabel
                value={layer.material}
                onChange={(e) => setLayer(index, { material: e.target.value as BedMaterialKey })}
                options={BED_MATERIAL_KEYS.map((key) => ({ value: key, label: t(`design.bedMaterialNames.${key}`) }))}
              />
              <QuantityField
                label={t('design.bedPart.layerThickness', { index: index + 1 })}
                hideLabel
                kind="length"
                scale="small"
                value={layer.thicknessM}
                onChange={(v) => setLayer(index, { thicknessM: orNaN(v) })}
                error={errorOf(`layers.${index}.thicknessM`)}
              />
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                aria-label={t('design.bedPart.removeLayer', { index: index + 1 })}
                disabled={bed.layers.length === 1}
                onClick={() => set({ layers: bed.layers.filter((_, i) => i !== index) })}
              >
                ×
              </button>
            </div>
          ))}
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            disabled={bed.layers.length >= 10}
            onClick={() => set({ layers: [...bed.layers, { material: 'planting-6-12', thicknessM: 0.09 }] })}
          >
            {t('design.bedPart.addLayerTop')}
          </button>
        </section>
        <section className="sheet">
          <h2>{t('design.bedPart.feedCleanout')}</h2>
          <div className="field-grid">
            <ChoiceField
              label={t('design.bedPart.waterEnters')}
              value={bed.feed}
              onChange={(e) => set({ feed: e.target.value as typeof bed.feed })}
              options={FEEDS.filter((feed) => (path === 'along') === feed.endsWith('header')).map((feed) => ({
                value: feed,
                label: t(`design.feedNames.${feed}`),
              }))}
            />
            {bed.feed === 'chamber' ? null : (
              <>
                <QuantityField
                  label={t('design.bedPart.distributionPipeBore')}
                  kind="length"
                  scale="small"
                  value={bed.manifold.diameterM}
                  onChange={(v) => set({ manifold: { ...bed.manifold, diameterM: orNaN(v) } }, 'manifold')}
                  error={errorOf('manifold.diameterM')}
                />
                <QuantityField
                  label={t('design.bedPart.slots')}
                  kind="number"
                  value={bed.manifold.slots}
                  onChange={(v) => set({ manifold: { ...bed.manifold, slots: orNaN(v) } }, 'slots')}
                  error={errorOf('manifold.slots')}
                />
              </>
            )}
            {path === 'up' && !vessels ? (
              <QuantityField
                label={t('design.bedPart.pitchVault')}
                kind="share"
                value={bed.manifold.pitchPercent / 100}
                onChange={(v) => set({ manifold: { ...bed.manifold, pitchPercent: orNaN(v) * 100 } }, 'pitch')}
                error={errorOf('manifold.pitchPercent')}
              />
            ) : null}
            <QuantityField
              label={t('design.bedPart.waterOverGravel')}
              kind="length"
              scale="small"
              value={bed.waterOverGravelM}
              onChange={(v) => set({ waterOverGravelM: orNaN(v) }, 'over')}
              error={errorOf('waterOverGravelM')}
              hint={t('design.bedPart.negativeGravelStandsDry')}
            />
            <QuantityField
              label={t('design.bedPart.highestAirBreakAbove')}
              kind="length"
              scale="small"
              value={bed.airBreakM}
              onChange={(v) => set({ airBreakM: orNaN(v) }, 'break')}
              error={errorOf('airBreakM')}
            />
          </div>
          <CheckField
            label={t('design.bedPart.checkValveDelivery')}
            checked={bed.checkValve}
            onChange={(checkValve) => set({ checkValve })}
          />
          <CheckField
            label={vessels ? t('design.bedPart.bottomDrainValve') : t('design.bedPart.cleanoutVault')}
            checked={bed.vault !== null}
            onChange={(has) =>
              set({
                vault: has
                  ? { diameterM: vessels ? 0.1 : 0.4, atLowPoint: true, valveInReach: true, dischargeM: 8 }
                  : null,
              })
            }
          />
          {bed.vault ? (
            <>
              <div className="field-grid">
                <QuantityField
                  label={vessels ? t('design.bedPart.drainBore') : t('design.bedPart.vaultDiameter')}
                  kind="length"
                  scale="small"
                  value={bed.vault.diameterM}
                  onChange={(v) => set({ vault: { ...bed.vault!, diameterM: orNaN(v) } }, 'vault')}
                  error={errorOf('vault.diameterM')}
                />
                <QuantityField
                  label={t('design.bedPart.wayWhereMayDrain')}
                  kind="length"
                  value={bed.vault.dischargeM}
                  onChange={(v) => set({ vault: { ...bed.vault!, dischargeM: orNaN(v) } }, 'discharge')}
                  error={errorOf('vault.dischargeM')}
                />
              </div>
              <CheckField
                label={t('design.bedPart.lowPoint')}
                checked={bed.vault.atLowPoint}
                onChange={(atLowPoint) => set({ vault: { ...bed.vault!, atLowPoint } })}
              />
              <CheckField
                label={t('design.bedPart.valveWithinReach')}
                checked={bed.vault.valveInReach}
                onChange={(valveInReach) => set({ vault: { ...bed.vault!, valveInReach } })}
              />
            </>
          ) : null}
          <ChoiceField
            label={t('design.bedPart.winterBed')}
            value={bed.winter}
            onChange={(e) => set({ winter: e.target.value as typeof bed.winter })}
            options={[
              { value: 'runs', label: t('design.bedPart.runsIceWatch') },
              { value: 'drained', label: t('design.bedPart.drained') },
            ]}
          />
        </section>
      </div>
    </>
  )
}

const tidy = (m: number): number => Number(m.toFixed(3))

function Loads({ shown }: DesignPart) {
  const t = useTexts()

  const show = useShow()
  const { weights, quantities, stop } = shown.result
  return (
    <>
      <Why
        title={t('design.bedPart.stoneTruckBulkBags', {
          stoneT: show(weights.stoneT * 1000, 'mass'),
          trucks: weights.trucks,
          bulkBags: weights.bulkBags,
          waterT: show(weights.waterT, 'volume'),
        })}
      >
        {quantities.map((q, i) => (
          <div key={i}>
            {t('design.bedPart.holdingWater', {
              name: t(`design.bedMaterialNames.${q.material}`),
              volumeM3: show(q.volumeM3, 'volume'),
              massT: q.massT > 0.05 && BED_MATERIALS[q.material].granular ? `, ${show(q.massT * 1000, 'mass')}` : '',
              voidM3: show(q.voidM3, 'volume'),
            })}
          </div>
        ))}
        <div>{t('design.bedPart.loadFloorKnM', { floorKnPerM2: formatNumber(weights.floorKnPerM2) })}</div>
      </Why>
      <p className="soft small mb-0">
        {t('design.bedPart.whenPumpStopsRun', {
          drainBackM3: show(stop.drainBackM3, 'volume'),
          pondRiseMm: show(stop.pondRiseMm / 1000, 'length', { scale: 'small' }),
          flushDays: Number.isFinite(shown.result.flushDays)
            ? t('design.bedPart.months', { flushDays: formatNumber(shown.result.flushDays / 30.4, 'en', 2) })
            : t('design.bedPart.fewYears'),
        })}
      </p>
    </>
  )
}
