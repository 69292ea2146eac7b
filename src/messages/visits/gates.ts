import { type Texts } from '../texts'
import type { GateReason } from '@/core/visits/gates/gate'
import type { QuantityKind } from '@/core/units/kinds'
import { fishBackText } from './fish-back'

type Show = (value: number, kind: QuantityKind) => string

/** Why a step has to wait, and what ends the wait. */
export function gateText(reason: GateReason, show: Show, t: Texts): string {
  switch (reason.code) {
    case 'needs-test':
      return t('field.gates.testFirstMissing', {
        map: reason.missing.map((kind) => t(`water.readingNames.${kind}`).toLowerCase()).join(', '),
      })
    case 'needs-figure':
      return t('field.gates.writeDownFirst0', {
        map: reason.missing.map((figure) => t(`visits.figureNames.${figure}`).toLowerCase()).join(', '),
      })
    case 'ammonia-after':
      return t('field.gates.phWouldComeToxic', {
        phAfter: show(reason.phAfter, 'ph'),
        nh3MgL: show(reason.nh3MgL, 'concentration'),
        limitMgL: show(reason.limitMgL, 'concentration'),
      })
    case 'rise-too-steep':
      return t('field.gates.khOneDayMost', {
        riseDH: show(reason.riseDH, 'hardness'),
        mostDH: show(reason.mostDH, 'hardness'),
      })
    case 'ph-too-steep':
      return t('field.gates.phWouldRiseMost', { risePh: show(reason.risePh, 'ph'), mostPh: show(reason.mostPh, 'ph') })
    case 'too-much-at-once':
      return t('field.gates.waterOnceMostDo', {
        share: show(reason.share, 'share'),
        mostShare: show(reason.mostShare, 'share'),
      })
    case 'too-soon':
      return t('field.gates.waterChangedHoursAgo', { hours: Math.round(reason.hours), leastHours: reason.leastHours })
    case 'inlet-temperature':
      return t('field.gates.waterGoesDiffersMost', {
        differenceC: show(reason.differenceC, 'temperatureStep'),
        limitC: show(reason.limitC, 'temperatureStep'),
      })
    case 'too-salty':
      return t('field.gates.saltWouldComePond', {
        share: show(reason.share, 'share'),
        mostShare: show(reason.mostShare, 'share'),
      })
    case 'media-at-once':
      return t('field.gates.biologicalMediaOnceFish', {
        share: show(reason.share, 'share'),
        mostShare: show(reason.mostShare, 'share'),
      })
    case 'media-tap-water':
      return t('field.gates.tapWaterKillsWhat')
    case 'oxygen':
      return t('field.gates.oxygenTakesMoreAir', {
        mgL: show(reason.mgL, 'concentration'),
        leastMgL: show(reason.leastMgL, 'concentration'),
      })
    case 'timer-not-started':
      return t('field.gates.startMinuteTimerWait', { minutes: Math.round(reason.minutes) })
    case 'timer-running':
      return t('field.gates.timerStillRunsMinutes', { leftMin: Math.ceil(reason.leftMin) })
    case 'fish-missing':
      return reason.back + reason.lost > reason.out
        ? t('field.gates.fishWentOutCome', {
            out: reason.out,
            back: reason.back,
            lost: reason.lost > 0 ? t('field.gates.lost', { lost: reason.lost }) : '',
          })
        : t('field.gates.fishWentOutCome2', {
            out: reason.out,
            back: reason.back,
            lost: reason.lost > 0 ? t('field.gates.lost2', { lost: reason.lost }) : '',
            out2: reason.out - reason.back - reason.lost,
          })
    case 'needs-answer':
      return t('field.gates.chooseOneAnswers')
    case 'chlorine-in':
      return t('field.gates.newWaterHoldsChlorine', { mgL: show(reason.mgL, 'concentration') })
    case 'feed-ammonia':
      return t('field.gates.ammoniaTanAboveBacteria', {
        mgL: show(reason.mgL, 'concentration'),
        limitMgL: show(reason.limitMgL, 'concentration'),
      })
    case 'feed-nitrite':
      return t('field.gates.nitriteAboveBacteriaCannot', {
        mgL: show(reason.mgL, 'concentration'),
        limitMgL: show(reason.limitMgL, 'concentration'),
      })
    case 'kh-low':
      return t('field.gates.khFlocculantsUseUp', {
        khDH: show(reason.khDH, 'hardness'),
        minDH: show(reason.minDH, 'hardness'),
      })
    case 'dose-too-soon':
      return t('field.gates.givenHoursAgoLabel', {
        product: reason.product,
        hoursAgo: Math.round(reason.hoursAgo),
        hours: Math.round(reason.hours),
      })
    case 'dose-course-over':
      return t('field.gates.givenTimesDaysLabels', { product: reason.product, times: reason.times, days: reason.days })
    case 'night-oxygen':
      return t('field.gates.oxygenMayFallDawn', {
        mgL: show(reason.mgL, 'concentration'),
        leastMgL: show(reason.leastMgL, 'concentration'),
      })
    case 'no-licence':
      return t('field.gates.lawMayAskLicensed')
    case 'die-off':
      return t('field.gates.algaeDieOffAlready')
    case 'sulfide-smell':
      return t('field.gates.hydrogenSulfideStopLeave')
    case 'gasping':
      return t('field.gates.fishGaspAirOnce')
    default:
      return fishBackText(reason, show, t)
  }
}
