'use client'
import { netMeshMm, netTent, NET_RULES } from '@/core/survey/net-tent'
import { boundsOf } from '@/core/survey/point'
import type { Basin } from '@/core/survey/basin'
import type { Pond } from '@/domain/ponds/pond'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

/** The autumn net as a tent over this pond: what to cut, carry and put up. */
export function NetNote({ pond, basin }: { pond: Pond; basin: Basin }) {
  const show = useShow()
  const { minX, maxX, minY, maxY } = boundsOf(basin.outline)
  const tent = netTent({ lengthM: maxX - minX, widthM: maxY - minY, freeboardM: pond.freeboardM })
  return (
    <Why title={`Leaf net ${show(tent.net.lengthM, 'length')} × ${show(tent.net.widthM, 'length')}`}>
      A tent with a ridge of {show(tent.ridgeLengthM, 'length')}, {show(tent.ridgeHeightM, 'length')} high ({tent.pitchDeg}°), on {tent.posts} posts at most{' '}
      {show(NET_RULES.postSpacingM, 'length')} apart; {tent.pins} edge pins; {netMeshMm(pond.trees)} mm mesh. Under wet leaves it clears the water by{' '}
      {show(tent.clearanceM, 'length', { scale: 'small' })} at mid-slope.
    </Why>
  )
}
