import type { DesignPond } from '../../core/filter/design-input'
import { NO_GUESTS } from '../../core/filter/load/guests'
import { USUAL_SIGMA_SHARE } from '../../core/survey/volume-evidence'
import { usualShoreM } from '../../core/filter/load/usual-shore'

/** A pond as it was frozen with a proposal: what was not asked for then is none of it. */
export const keptDesignPond = (kept: DesignPond): DesignPond => ({
  ...kept,
  volumeSigmaShare: kept.volumeSigmaShare ?? USUAL_SIGMA_SHARE['geometry-free-form'],
  guests: kept.guests ?? NO_GUESTS,
  fillPhosphateMgL: kept.fillPhosphateMgL ?? 0,
  lining: kept.lining ?? 'unknown',
  shoreM: kept.shoreM ?? usualShoreM(kept.areaM2),
  ground: kept.ground ?? null,
})
