'use client'
import { useTexts } from '@/ui/kit/texts'
import type { BedMaterials } from '@/core/filter/bed/layers'
import type { Design } from '@/domain/design/design'
import type { Pond } from '@/domain/ponds/pond'
import { systemVolumeOf, type KnownVolume } from '@/domain/ponds/system-volume'
import { useShow } from '@/ui/person-context'

/** What a dose to the whole pond has to treat, and how it adds up. */
export function SystemVolume({
  pond,
  adopted,
  designs,
  materials,
}: {
  pond: Pond
  adopted: KnownVolume
  designs: readonly Design[]
  materials: BedMaterials
}) {
  const t = useTexts()

  const show = useShow()
  const { besideM3, filterVoidsM3, totalM3 } = systemVolumeOf(pond, adopted, designs, materials)
  if (filterVoidsM3 + besideM3 === 0) return null
  return (
    <p className="mb-1">
      {t('survey.systemVolume.systemPondDoseWhole', {
        totalM3: show(totalM3, 'volume'),
        pondM3: show(adopted.volumeM3, 'volume'),
        besideM3: besideM3 > 0 ? t('survey.systemVolume.streamsBoxes', { besideM3: show(besideM3, 'volume') }) : '',
        filterVoidsM3:
          filterVoidsM3 > 0
            ? t('survey.systemVolume.waterFilter', { filterVoidsM3: show(filterVoidsM3, 'volume') })
            : '',
      })}
    </p>
  )
}
