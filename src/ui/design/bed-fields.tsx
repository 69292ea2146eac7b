'use client'
import type { BedDesign } from '@/core/filter/design-input'
import { BED_MATERIALS, BED_MATERIAL_KEYS, type BedMaterialKey } from '@/core/filter/layers'
import { PUMP_CATALOGUE } from '@/core/filter/pump-catalogue'
import { ChoiceField } from '@/ui/components/choice-field'
import { QuantityField } from '@/ui/components/quantity-field'

interface BedFieldsProps {
  readonly bed: BedDesign
  readonly onChange: (bed: BedDesign) => void
  readonly errorOf: (path: string) => string | undefined
}

/** An emptied field becomes NaN, which the schema refuses by name; the drawing keeps the last good design meanwhile. */
const orNaN = (value: number | null): number => value ?? Number.NaN

/** Everything a designer decides, in the order it is built. */
export function BedFields({ bed, onChange, errorOf }: BedFieldsProps) {
  const set = (change: Partial<BedDesign>) => onChange({ ...bed, ...change })
  const setLayer = (index: number, change: Partial<BedDesign['layers'][number]>) =>
    set({ layers: bed.layers.map((layer, i) => (i === index ? { ...layer, ...change } : layer)) })
  const fromTop = bed.layers.map((layer, index) => ({ layer, index })).reverse()
  return (
    <>
      <fieldset className="mt-0 border-0 pt-0">
        <legend>Bed</legend>
        <div className="field-grid">
          <QuantityField label="Bed length" kind="length" value={bed.lengthM} onChange={(v) => set({ lengthM: orNaN(v) })} error={errorOf('lengthM')} />
          <QuantityField label="Bed width" kind="length" value={bed.widthM} onChange={(v) => set({ widthM: orNaN(v) })} error={errorOf('widthM')} />
        </div>
      </fieldset>
      <fieldset>
        <legend>Layers, top to bottom</legend>
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
          onClick={() => set({ layers: [...bed.layers, { material: 'planting-6-12', thicknessM: 0.09 }] })}
        >
          Add a layer on top
        </button>
        <div className="field-grid mt-2">
          <QuantityField
            label="Highest air break above the base"
            kind="length"
            scale="small"
            value={bed.airBreakM}
            onChange={(v) => set({ airBreakM: orNaN(v) })}
            error={errorOf('airBreakM')}
          />
        </div>
      </fieldset>
      <fieldset>
        <legend>Pipes and pump</legend>
        <div className="field-grid">
          <QuantityField
            label="Distribution pipe, bore"
            kind="length"
            scale="small"
            value={bed.manifold.diameterM}
            onChange={(v) => set({ manifold: { ...bed.manifold, diameterM: orNaN(v) } })}
            error={errorOf('manifold.diameterM')}
          />
          <QuantityField
            label="Slots"
            kind="number"
            value={bed.manifold.slots}
            onChange={(v) => set({ manifold: { ...bed.manifold, slots: orNaN(v) } })}
            error={errorOf('manifold.slots')}
          />
          <QuantityField
            label="Delivery pipe, bore"
            kind="length"
            scale="small"
            value={bed.delivery.diameterM}
            onChange={(v) => set({ delivery: { ...bed.delivery, diameterM: orNaN(v) } })}
            error={errorOf('delivery.diameterM')}
          />
          <QuantityField
            label="Delivery pipe, length"
            kind="length"
            value={bed.delivery.lengthM}
            onChange={(v) => set({ delivery: { ...bed.delivery, lengthM: orNaN(v) } })}
            error={errorOf('delivery.lengthM')}
          />
          <QuantityField
            label="Fittings, sum of K"
            kind="number"
            value={bed.delivery.fittingsK}
            onChange={(v) => set({ delivery: { ...bed.delivery, fittingsK: orNaN(v) } })}
            error={errorOf('delivery.fittingsK')}
          />
          <QuantityField
            label="Lift to the bed’s water"
            kind="length"
            value={bed.staticLiftM}
            onChange={(v) => set({ staticLiftM: orNaN(v) })}
            error={errorOf('staticLiftM')}
          />
          <ChoiceField
            label="Pump"
            value={bed.pumpId}
            onChange={(e) => set({ pumpId: e.target.value })}
            options={PUMP_CATALOGUE.map((p) => ({ value: p.id, label: `${p.name}, ${p.powerW} W` }))}
          />
        </div>
      </fieldset>
    </>
  )
}
