'use client'
import { useTexts } from '@/ui/kit/texts'
import { netMeshMm, netTent, NET_RULES } from '@/core/survey/net-tent'
import { boundsOf } from '@/core/survey/point'
import type { Basin } from '@/core/survey/basin'
import type { Pond } from '@/domain/ponds/pond'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

/** The autumn net as a tent over this pond: what to cut, carry and put up. */
export function NetNote({ pond, basin }: { pond: Pond; basin: Basin }) {
  const t = useTexts()

  const show = useShow()
  const { minX, maxX, minY, maxY } = boundsOf(basin.outline)
  const tent = netTent({ lengthM: maxX - minX, widthM: maxY - minY, freeboardM: pond.freeboardM })
  return (
    <Why
      title={t('equipment.netNote.leafNet', {
        lengthM: show(tent.net.lengthM, 'length'),
        widthM: show(tent.net.widthM, 'length'),
      })}
    >
      {t('equipment.netNote.tentRidgeHighPosts', {
        ridgeLengthM: show(tent.ridgeLengthM, 'length'),
        ridgeHeightM: show(tent.ridgeHeightM, 'length'),
        pitchDeg: tent.pitchDeg,
        posts: tent.posts,
        postSpacingM: show(NET_RULES.postSpacingM, 'length'),
        pins: tent.pins,
        trees: netMeshMm(pond.trees),
        clearanceM: show(tent.clearanceM, 'length', { scale: 'small' }),
      })}
    </Why>
  )
}
