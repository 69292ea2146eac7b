'use client'
import { BED_MATERIALS, BED_MATERIAL_KEYS, type BedMaterialKey } from '@/core/filter/bed/layers'
import { FILTER_TYPE_FACTS } from '@/core/filter/filter-types'
import { FEEDS } from '@/core/filter/design-input'
import { formatNumber } from '@/core/units/format'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { Why } from '@/ui/kit/why'
import { BedSection } from '@/ui/drawing/bed-section'
import { FEED_NAMES } from '@/messages/en/filters'
import { useShow } from '@/ui/person-context'
import { orNaN, type BenchPart } from '../use-bench'

const LEAST_LAYER_M = 0.01

/** The bed's build-up: drag the boundaries in the section or type thicknesses; feed, vault, air break. */
export function BedPart(part: BenchPart) {
  const { bed, shown, set, errorOf } = part
  const show = useShow()
  if (bed.type === 'none') return <p className="sheet">There is no bed in this design. Choose a kind of filter under Kind and size.</p>
  const { path, vessels } = FILTER_TYPE_FACTS[bed.type]
  const setLayer = (index: number, change: Partial<(typeof bed.layers)[number]>) =>
    set({ layers: bed.layers.map((layer, i) => (i === index ? { ...layer, ...change } : layer)) }, `layer${index}`)
  /** The boundary above a layer moves: it takes from the next, or grows the bed at its top. */
  const moveBoundary = (index: number, thicknessM: number) => {
    const above = bed.layers[index + 1]
    const grown = thicknessM - bed.layers[index].thicknessM
    if (!above) return setLayer(index, { thicknessM: Math.max(LEAST_LAYER_M, thicknessM) })
    const moved = Math.min(above.thicknessM - LEAST_LAYER_M, Math.max(LEAST_LAYER_M - bed.layers[index].thicknessM, grown))
    set(
      {
        layers: bed.layers.map((layer, i) =>
          i === index
            ? { ...layer, thicknessM: tidy(layer.thicknessM + moved) }
            : i === index + 1
              ? { ...layer, thicknessM: tidy(layer.thicknessM - moved) }
              : layer,
        ),
      },
      `boundary${index}`,
    )
  }
  const fromTop = bed.layers.map((layer, index) => ({ layer, index })).reverse()
  return (
    <>
      <section className="sheet">
        <h2>
          Bed section, <span data-testid="bed-area">{show(shown.result.areaM2, 'area')}</span>
        </h2>
        <BedSection
          lengthM={shown.bed.lengthM}
          layers={shown.bed.layers}
          manifoldDiameterM={shown.bed.manifold.diameterM}
          airBreakM={shown.bed.airBreakM}
          along={path === 'along' ? shown.bed.feed : null}
          withVault={shown.bed.vault !== null && !vessels}
          rootShare={path === 'along' ? shown.result.rootShare : null}
          onMoveBoundary={moveBoundary}
        />
        <Loads {...part} />
      </section>
      <div className="columns two">
        <section className="sheet">
          <h2>Layers, top to bottom</h2>
          {fromTop.map(({ layer, index }) => (
            <div key={index} className="repeat-row" style={{ gridTemplateColumns: '2.3fr 1fr 2.4rem' }}>
              <ChoiceField
                label={`Layer ${index + 1} material`}
                hideLabel
                value={layer.material}
                onChange={(e) => setLayer(index, { material: e.target.value as BedMaterialKey })}
                options={BED_MATERIAL_KEYS.map((key) => ({ value: key, label: BED_MATERIALS[key].name }))}
              />
              <QuantityField
                label={`Layer ${index + 1} thickness`}
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
                aria-label={`Remove layer ${index + 1}`}
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
            Add a layer on top
          </button>
        </section>
        <section className="sheet">
          <h2>Feed and cleanout</h2>
          <div className="field-grid">
            <ChoiceField
              label="Water enters by"
              value={bed.feed}
              onChange={(e) => set({ feed: e.target.value as typeof bed.feed })}
              options={FEEDS.filter((feed) => (path === 'along') === feed.endsWith('header')).map((feed) => ({ value: feed, label: FEED_NAMES[feed] }))}
            />
            {bed.feed === 'chamber' ? null : (
              <>
                <QuantityField
                  label="Distribution pipe, bore"
                  kind="length"
                  scale="small"
                  value={bed.manifold.diameterM}
                  onChange={(v) => set({ manifold: { ...bed.manifold, diameterM: orNaN(v) } }, 'manifold')}
                  error={errorOf('manifold.diameterM')}
                />
                <QuantityField
                  label="Slots"
                  kind="number"
                  value={bed.manifold.slots}
                  onChange={(v) => set({ manifold: { ...bed.manifold, slots: orNaN(v) } }, 'slots')}
                  error={errorOf('manifold.slots')}
                />
              </>
            )}
            {path === 'up' && !vessels ? (
              <QuantityField
                label="Pitch to the vault"
                kind="share"
                value={bed.manifold.pitchPercent / 100}
                onChange={(v) => set({ manifold: { ...bed.manifold, pitchPercent: orNaN(v) * 100 } }, 'pitch')}
                error={errorOf('manifold.pitchPercent')}
              />
            ) : null}
            <QuantityField
              label="Water over the gravel"
              kind="length"
              scale="small"
              value={bed.waterOverGravelM}
              onChange={(v) => set({ waterOverGravelM: orNaN(v) }, 'over')}
              error={errorOf('waterOverGravelM')}
              hint="negative: the gravel stands dry"
            />
            <QuantityField
              label="Highest air break above the base"
              kind="length"
              scale="small"
              value={bed.airBreakM}
              onChange={(v) => set({ airBreakM: orNaN(v) }, 'break')}
              error={errorOf('airBreakM')}
            />
          </div>
          <CheckField label="Check valve on the delivery" checked={bed.checkValve} onChange={(checkValve) => set({ checkValve })} />
          <CheckField
            label={vessels ? 'Bottom drain with valve' : 'Cleanout vault'}
            checked={bed.vault !== null}
            onChange={(has) => set({ vault: has ? { diameterM: vessels ? 0.1 : 0.4, atLowPoint: true, valveInReach: true, dischargeM: 8 } : null })}
          />
          {bed.vault ? (
            <>
              <div className="field-grid">
                <QuantityField
                  label={vessels ? 'Drain, bore' : 'Vault, diameter'}
                  kind="length"
                  scale="small"
                  value={bed.vault.diameterM}
                  onChange={(v) => set({ vault: { ...bed.vault!, diameterM: orNaN(v) } }, 'vault')}
                  error={errorOf('vault.diameterM')}
                />
                <QuantityField
                  label="Way to where it may drain"
                  kind="length"
                  value={bed.vault.dischargeM}
                  onChange={(v) => set({ vault: { ...bed.vault!, dischargeM: orNaN(v) } }, 'discharge')}
                  error={errorOf('vault.dischargeM')}
                />
              </div>
              <CheckField label="At the low point" checked={bed.vault.atLowPoint} onChange={(atLowPoint) => set({ vault: { ...bed.vault!, atLowPoint } })} />
              <CheckField
                label="Valve within reach"
                checked={bed.vault.valveInReach}
                onChange={(valveInReach) => set({ vault: { ...bed.vault!, valveInReach } })}
              />
            </>
          ) : null}
          <ChoiceField
            label="In winter the bed"
            value={bed.winter}
            onChange={(e) => set({ winter: e.target.value as typeof bed.winter })}
            options={[
              { value: 'runs', label: 'runs on, with an ice watch' },
              { value: 'drained', label: 'is drained' },
            ]}
          />
        </section>
      </div>
    </>
  )
}

const tidy = (m: number): number => Number(m.toFixed(3))

function Loads({ shown }: BenchPart) {
  const show = useShow()
  const { weights, quantities, stop } = shown.result
  return (
    <>
      <Why
        title={`Stone ${show(weights.stoneT * 1000, 'mass')}, ${weights.trucks} truck ${weights.trucks === 1 ? 'load' : 'loads'} or ${weights.bulkBags} bulk bags; water ${show(weights.waterT, 'volume')}`}
      >
        {quantities.map((q, i) => (
          <div key={i}>
            {BED_MATERIALS[q.material].name}: {show(q.volumeM3, 'volume')}
            {q.massT > 0.05 && BED_MATERIALS[q.material].granular ? `, ${show(q.massT * 1000, 'mass')}` : ''}, holding {show(q.voidM3, 'volume')} of water
          </div>
        ))}
        <div>
          Load on the floor {formatNumber(weights.floorKnPerM2)} kN/m². Stone above 25 kg is lifted by a team or a machine. Gravel is washed before it goes in.
        </div>
      </Why>
      <p className="soft small mb-0">
        When the pump stops {show(stop.drainBackM3, 'volume')} run back and the pond rises {show(stop.pondRiseMm / 1000, 'length', { scale: 'small' })}; a flush
        is due about every {Number.isFinite(shown.result.flushDays) ? `${formatNumber(shown.result.flushDays / 30.4, 'en', 2)} months` : 'few years'}.
      </p>
    </>
  )
}
