import { FILTER_TYPE_FACTS } from '../types'
import { check, CHECK_LIMITS, type Check, type CheckContext, type Verdict } from './check'
import { confirmed } from './upkeep'

/** Planting, the house's UV practice, what has to be looked at on site, and winter. */
export function siteChecks(context: CheckContext): Check[] {
  const { design, result, rules } = context
  const coldest = Math.min(...result.monthlyTempC)
  return [
    ...(design.type === 'none' && design.planting.length === 0 ? [] : [plantsCheck(context)]),
    uvCheck(context, rules.uv),
    ...(design.pumpId === null
      ? []
      : [check('electrics', confirmed(context, 'electrics', 'look'), result.powerW + result.train.powerW, 0)]),
    check('auto-fill', confirmed(context, 'auto-fill', 'look'), result.train.washM3PerD, 0),
    check('children', confirmed(context, 'children', 'look'), design.vault?.diameterM ?? 0, 0),
    ...(design.raisedM < result.depthM && !FILTER_TYPE_FACTS[design.type].vessels && design.type !== 'none'
      ? [check('services', confirmed(context, 'services', 'look'), result.depthM - design.raisedM, 0)]
      : []),
    check('winter', winterVerdict(context, coldest), coldest, CHECK_LIMITS.iceWaterC, { plan: design.winter }),
  ]
}

function plantsCheck({ design, result }: CheckContext): Check {
  const { findings, coverShare, heavyKinds } = result.planting
  const wrong = findings.filter(
    (f) => f.problem !== 'regulated' && f.problem !== 'lily-no-filter' && f.problem !== 'tall-in-front',
  )
  const verdict: Verdict =
    wrong.length > 0 || coverShare < CHECK_LIMITS.coverLeast || heavyKinds === 0 || findings.length > 0
      ? 'look'
      : 'pass'
  return check('plants', verdict, coverShare, CHECK_LIMITS.coverLeast, {
    findings: wrong.length,
    regulated: findings.filter((f) => f.problem === 'regulated').length,
    heavyKinds,
    patches: design.planting.length,
  })
}

function uvCheck({ design, rules }: CheckContext, rule: CheckContext['rules']['uv']): Check {
  const fitted = design.train.filter((c) => c.kind === 'uv').length
  const fits = rules.uv === 'crutch' || (rules.uv === 'always') === fitted > 0
  return check('uv', fits ? 'pass' : 'look', fitted, rules.uv === 'always' ? 1 : 0, { rule })
}

/** Where water freezes a running bed needs an ice watch, and a drained one a way to drain. */
function winterVerdict({ design }: CheckContext, coldestC: number): Verdict {
  if (coldestC > CHECK_LIMITS.iceWaterC || design.type === 'none') return 'pass'
  if (design.winter === 'drained') return design.vault ? 'pass' : 'stop'
  return 'look'
}
