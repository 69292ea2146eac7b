'use client'
import { useTexts } from '@/ui/kit/texts'
import { BED_MATERIAL_KEYS, type BedMaterialKey } from '@/core/filter/bed/layers'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'

/** The bed's layers from the top down: material and thickness. */
export function LayerRows({ bed, set, errorOf }: DesignPart) {
  const t = useTexts()
  const setLayer = (index: number, change: Partial<(typeof bed.layers)[number]>) =>
    set({ layers: bed.layers.map((layer, i) => (i === index ? { ...layer, ...change } : layer)) }, `layer${index}`)
  const fromTop = bed.layers.map((layer, index) => ({ layer, index })).reverse()
  return (
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
  )
}
