'use client'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import { LEGEND_C, waterColour } from './water-colour'

/** The legend of the water-temperature scale, in the person's units. */
export function WaterLegend() {
  const t = useTexts()

  const show = useShow()
  const stops = Array.from({ length: 13 }, (_, i) => waterColour(i * 2.5 + 0.1)).join(',')
  return (
    <span className="scale-bar" aria-label={t('drawing.waterLegend.coloursWaterTemperature')}>
      <span className="soft">{t('drawing.waterLegend.ice')}</span>
      <span style={{ width: '0.8rem', height: '0.7rem', background: waterColour(0) }} />
      {show(LEGEND_C[0], 'temperature').replace('.0', '')}
      <span className="ramp" style={{ background: `linear-gradient(to right, ${stops})` }} />
      {show(LEGEND_C[3], 'temperature').replace('.0', '')}
    </span>
  )
}
