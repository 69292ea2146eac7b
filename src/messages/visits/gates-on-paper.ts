import { FISH_BACK_LIMITS } from '@/core/visits/fish-back-gate'
import { DAWN_OXYGEN_MGL } from '@/core/visits/gates/algae-treatment'
import { HANDLING_OXYGEN_MGL } from '@/core/visits/gates/fish-handling'
import { MEDIA_LIMIT_SHARE } from '@/core/visits/gates/media-clean'
import { RAISE_KH_LIMITS } from '@/core/visits/gates/raise-kh'
import { SALT_LIMITS } from '@/core/visits/gates/salt'
import { WATER_CHANGE_LIMITS } from '@/core/water/water-change-gate'
import type { StepGate } from '@/core/visits/step'
import type { QuantityKind } from '@/core/units/kinds'
import { AMMONIA_BANDS } from '@/core/water/ammonia'
import type { Texts } from '../texts'

type Show = (value: number, kind: QuantityKind) => string

/** The rule of a gate for a sheet of paper, which cannot judge by itself. */
export function gateOnPaper(gate: StepGate, show: Show, t: Texts): string {
  const handling = {
    from: show(FISH_BACK_LIMITS.handlingC[0], 'temperature'),
    to: show(FISH_BACK_LIMITS.handlingC[1], 'temperature'),
  }
  switch (gate) {
    case 'fish-back-safe':
      return t('visits.gatesOnPaper.fishBack', {
        nh3: show(AMMONIA_BANDS.actAboveMgL, 'concentration'),
        nitrite: show(FISH_BACK_LIMITS.nitriteMgL, 'concentration'),
        oxygen: show(FISH_BACK_LIMITS.oxygenMgL, 'concentration'),
        chlorine: show(FISH_BACK_LIMITS.freeChlorineMgL, 'concentration'),
        step: show(FISH_BACK_LIMITS.temperatureStepC, 'temperatureStep'),
        ...handling,
      })
    case 'fish-handling':
      return t('visits.gatesOnPaper.fishHandling', { oxygen: show(HANDLING_OXYGEN_MGL, 'concentration'), ...handling })
    case 'raise-kh':
      return t('visits.gatesOnPaper.raiseKh', {
        rise: show(RAISE_KH_LIMITS.riseDH, 'hardness'),
        tan: show(RAISE_KH_LIMITS.tanMgL, 'concentration'),
      })
    case 'water-change':
      return t('visits.gatesOnPaper.waterChange', {
        share: show(WATER_CHANGE_LIMITS.share, 'share'),
        hours: WATER_CHANGE_LIMITS.hoursBetween,
        step: show(WATER_CHANGE_LIMITS.inletStepC, 'temperatureStep'),
      })
    case 'salt':
      return t('visits.gatesOnPaper.salt', {
        planted: show(SALT_LIMITS.planted, 'share'),
        bare: show(SALT_LIMITS.bare, 'share'),
      })
    case 'media-clean':
      return t('visits.gatesOnPaper.mediaClean', { share: show(MEDIA_LIMIT_SHARE, 'share') })
    case 'algae-treatment':
      return t('visits.gatesOnPaper.algaeTreatment', { oxygen: show(DAWN_OXYGEN_MGL, 'concentration') })
    case 'feeding':
      return t('visits.gatesOnPaper.feeding')
    case 'deep-sludge':
      return t('visits.gatesOnPaper.deepSludge')
  }
}
