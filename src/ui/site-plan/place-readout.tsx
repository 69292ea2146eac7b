'use client'
import { useTexts } from '@/ui/kit/texts'
import { apartM, inside } from '@/core/site-plan/geometry'
import { groundLevelM } from '@/core/site-plan/ground-level'
import { fromShoreM } from '@/core/site-plan/placed-design'
import type { PondGround } from '@/core/site-plan/pond-ground'
import { fixedPoints } from '@/core/site-plan/tie-in'
import type { Point } from '@/core/survey/point'
import { useShow } from '@/ui/person-context'

/** Where the picked or moved place is: from the water, from both fixed points, and how high the ground lies. */
export function PlaceReadout({ at, name, ground }: { at: Point | null; name: string | null; ground: PondGround }) {
  const t = useTexts()
  const show = useShow()
  if (!at) return <p className="soft small mb-0 place-readout">{t('sitePlan.canvas.pickSomething')}</p>
  const length = (m: number) => show(m, 'length', { significant: 4 })
  const fixed = fixedPoints(ground.survey)
  const levelM = groundLevelM(ground.survey, at)
  const said = [
    inside(ground.outline, at)
      ? t('sitePlan.canvas.inPond', { fromShore: length(fromShoreM(ground, at)) })
      : t('sitePlan.canvas.fromShore', { fromShore: length(fromShoreM(ground, at)) }),
    ...(fixed
      ? [t('sitePlan.canvas.fromFixed', { a: length(apartM(fixed[0], at)), b: length(apartM(fixed[1], at)) })]
      : []),
    ...(levelM === null
      ? []
      : [t('sitePlan.canvas.groundAt', { level: `${levelM < 0 ? '−' : '+'}${show(Math.abs(levelM), 'length')}` })]),
  ]
  return (
    <p className="small mb-0 place-readout" role="status">
      {name ? <strong>{name}: </strong> : null}
      {said.join(' · ')}
    </p>
  )
}
