'use client'
import { bedAreaM2 } from '@/core/filter/bed-geometry'
import { layerQuantities } from '@/core/filter/layers'
import { besideVolumeM3, systemVolumeM3 } from '@/core/survey/system-volume'
import type { Design } from '@/domain/design'
import type { Pond } from '@/domain/pond'
import { useShow } from '@/ui/person-context'

/** What a dose must treat: pond, streams, boxes and the voids of the filter that was approved or built last. */
export function SystemVolume({ pond, pondM3, designs }: { pond: Pond; pondM3: number; designs: readonly Design[] }) {
  const show = useShow()
  const standing = designs.find((d) => d.state !== 'open')
  const voidsM3 = standing ? layerQuantities(standing.bed.layers, bedAreaM2(standing.bed)).reduce((sum, q) => sum + q.voidM3, 0) : 0
  const besideM3 = pond.beside.reduce((sum, water) => sum + besideVolumeM3(water), 0)
  if (voidsM3 + besideM3 === 0) return null
  return (
    <p className="mb-1">
      System {show(systemVolumeM3(pondM3, pond.beside, voidsM3), 'volume')}: pond {show(pondM3, 'volume')}
      {besideM3 > 0 ? `, streams and boxes ${show(besideM3, 'volume')}` : ''}
      {voidsM3 > 0 ? `, water in the filter ${show(voidsM3, 'volume')}` : ''}. A dose to the whole pond has to treat this much.
    </p>
  )
}
