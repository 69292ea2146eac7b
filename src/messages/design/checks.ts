import { pondCheckWords } from './pond-checks'
import { sitePlanCheckWords } from './site-plan-checks'
import { suctionCheckWords } from './suction-check'
import { trainCheckWords } from './train-checks'
import { textId, type Catalogue, type Texts } from '../texts'
import type { Check } from '@/core/filter/checks'
import type { Feed } from '@/core/filter/design-input'
import type { FilterType } from '@/core/filter/types'
import type { DemandSource } from '@/core/filter/flow/flow-demand'
import type { SizingMethod } from '@/core/filter/house-rules'
import type { FallsLook } from '@/core/hydraulics/falls'
import { formatNumber, type FormatOptions } from '@/core/units/format'
import type { QuantityKind } from '@/core/units/kinds'

export type Show = (value: number, kind: QuantityKind, options?: FormatOptions) => string

export interface CheckWords {
  readonly title: string
  readonly figure: string
  readonly reason: string
  readonly remedy: string
}

const DAYS_PER_MONTH = 30.4
const percent = (share: number) => `${Math.round(share * 100)} %`
const months = (days: number, t: Texts) =>
  Number.isFinite(days) ? t('design.checks.months', { days: formatNumber(days / DAYS_PER_MONTH, 'en', 2) }) : 'years'

/** A check in the trade's words: the figure, why it matters, and what would mend it. */
const UV_RULES = {
  always: textId('design.checks.alwaysFitted'),
  crutch: textId('design.checks.onlyWhileFilterMatures'),
  never: textId('design.checks.notBog'),
} as const

export function checkWords(check: Check, show: Show, t: Texts): CheckWords {
  const { figure, limit, also } = check
  const small = (m: number) => show(m, 'length', { scale: 'small' })
  const mm = (value: number) => small(value / 1000)
  switch (check.id) {
    case 'house-size':
      return {
        title: t('design.checks.largeEnoughHouseMethod', {
          value: t(`design.methodNames.${also.sizingMethod as SizingMethod}`).toLowerCase(),
        }),
        figure: t('design.checks.of', { figure: show(figure, 'area'), limit: show(limit, 'area') }),
        reason: t('design.checks.oversizingRarelyHurtsFish'),
        remedy: t('design.checks.lengthenWidenBedLeast', { limit: show(limit, 'area') }),
      }
    case 'nitrogen-size':
      return {
        title: t('design.checks.largeEnoughAmmoniaNow'),
        figure: t('design.checks.nowGrown', {
          figure: show(figure, 'area'),
          now: show(Number(also.now), 'area'),
          limit: show(limit, 'area'),
        }),
        reason: `${Number.isFinite(Number(also.tan)) ? t('design.checks.grownFishTanWould', { tan: show(Number(also.tan), 'concentration') }) : t('design.checks.standsNothingTreatsAmmonia')}${Number(also.media) > 0.01 ? t('design.checks.mediaBesideBedCount', { media: show(Number(also.media), 'area') }) : ''}`,
        remedy: t('design.checks.enlargeBedUseSmaller'),
      }
    case 'tan-target':
      return {
        title: t('design.checks.ammoniaStaysUnderTarget'),
        figure: t('design.checks.worstMonthTarget', {
          figure: Number.isFinite(figure) ? show(figure, 'concentration') : t('design.checks.noLimit'),
          limit: show(limit, 'concentration'),
        }),
        reason: t('design.checks.grownFishBedFlow'),
        remedy: t('design.checks.enlargeBedSendMore'),
      }
    case 'flow-needed':
      return {
        title: t('design.checks.pumpDeliversWhatNeeded'),
        figure: t('design.checks.of', { figure: show(figure, 'flow'), limit: show(limit, 'flow') }),
        reason:
          also.surplus === 'yes'
            ? t('design.checks.farMoreThanAsked')
            : t('design.checks.whatAsksMost', { value: t(`design.demandNames.${also.governedBy as DemandSource}`) }),
        remedy: also.surplus === 'yes' ? t('design.checks.smallerPump') : t('design.checks.largerPumpWiderDelivery'),
      }
    case 'bed-water':
      return {
        title: t('design.checks.pondHasWaterFill'),
        figure: t('design.checks.bedMost', { figure: show(figure, 'volume'), limit: show(limit, 'volume') }),
        reason: t('design.checks.stonesVoidsTakePonds', { share: percent(Number(also.share)) }),
        remedy: t('design.checks.smallerShallowerBedLess'),
      }
    case 'type-suits':
      return {
        title: t('design.checks.kindFilterSuitsPond'),
        figure: t('design.checks.for', {
          value: t(`design.filterTypeNames.${also.type as FilterType}`),
          figure: show(figure, 'volume'),
        }),
        reason:
          Number(also.most) < 1e4
            ? t('design.checks.usualPonds', {
                least: show(Number(also.least), 'volume'),
                most: show(Number(also.most), 'volume'),
              })
            : t('design.checks.usualPondsFromUp', { least: show(Number(also.least), 'volume') }),
        remedy: t('design.checks.chooseAnotherKindFilter'),
      }
    case 'oxygen-flow':
      return {
        title: t('design.checks.flowBringsEnoughOxygen'),
        figure: t('design.checks.of', { figure: show(figure, 'flow'), limit: show(limit, 'flow') }),
        reason: t('design.checks.bacteriaNeed457', {
          needed: show(Number(also.needed), 'flow'),
          value: t(`design.demandNames.${also.governedBy as DemandSource}`),
        }),
        remedy: t('design.checks.largerPumpWiderDelivery'),
      }
    case 'turnover':
      return {
        title: t('design.checks.wholePondComesRound'),
        figure: t('design.checks.of2', {
          hours: Number.isFinite(Number(also.hours))
            ? t('design.checks.onceH', { hours: formatNumber(Number(also.hours)) })
            : 'never',
          figure: show(figure, 'flow'),
          limit: show(limit, 'flow'),
        }),
        reason: t('design.checks.koiPondsTurnOver'),
        remedy: t('design.checks.largerPumpWiderPipe'),
      }
    case 'skimmer':
      return {
        title: t('design.checks.skimmersDrawSurface'),
        figure: t('design.checks.perMetreMouthEach', {
          figure: show(figure, 'flow'),
          served: show(Number(also.served), 'area'),
          area: show(Number(also.area), 'area'),
        }),
        reason: t('design.checks.between2060M'),
        remedy: figure < limit ? t('design.checks.moreFlowNarrowerMouth') : t('design.checks.anotherSkimmerWiderMouth'),
      }
    case 'falls-look':
      return {
        title: t('design.checks.fallsLookWanted'),
        figure: t('design.checks.thick', {
          figure: small(figure),
          value: t(`design.lookNames.${also.look as FallsLook}`),
        }),
        reason: t('design.checks.francisWeirOverLip', {
          width: show(Number(also.width), 'length'),
          limit: show(limit, 'flow'),
        }),
        remedy: figure < 0.008 ? t('design.checks.narrowerLipMoreFlow') : t('design.checks.widerLipPartFlow'),
      }
    case 'upflow-velocity':
      return {
        title: also.path === 'along' ? t('design.checks.slowEnoughAlongBed') : t('design.checks.upflowSlowEnoughBed'),
        figure: t('design.checks.mHMostM', { figure: show(figure, 'loading'), limit: show(limit, 'loading') }),
        reason: t('design.checks.slowWaterSettlesTreated'),
        remedy: t('design.checks.enlargeBedSendSurplus'),
      }
    case 'bed-depth':
      return {
        title: t('design.checks.depthUsualKindBed'),
        figure: t('design.checks.deepUsualUp', { figure: small(figure), limit: small(limit) }),
        reason:
          also.path === 'along'
            ? t('design.checks.deepHorizontalBedWater')
            : t('design.checks.deeperStoneCostsDigging'),
        remedy: t('design.checks.shallowerLargerBed'),
      }
    case 'bed-loss':
      return {
        title: t('design.checks.littleHeadLostBed'),
        figure: t('design.checks.mmCleanMmWhen', {
          figure: mm(figure),
          atFlush: mm(Number(also.atFlush)),
        }),
        reason: t('design.checks.ergunsLawThroughStone'),
        remedy: t('design.checks.coarserStoneBelowThinner'),
      }
    case 'uniformity':
      return {
        title: t('design.checks.waterEntersEvenly'),
        figure: t('design.checks.weakestStrongestLeast', {
          figure: percent(figure),
          limit: percent(limit),
          value: t(`design.feedNames.${also.feed as Feed}`).toLowerCase(),
        }),
        reason: t('design.checks.unevenFeedLeavesDead'),
        remedy:
          also.feed === 'chamber'
            ? t('design.checks.higherChamberSlottedPipe')
            : t('design.checks.widerDistributionPipeFewer'),
      }
    case 'root-zone':
      return {
        title: t('design.checks.flowReachesRoots'),
        figure: t('design.checks.flowPassesPlantedDepth', { figure: percent(figure) }),
        reason:
          also.path === 'along'
            ? t('design.checks.bedDeepWaterRuns', { depth: small(Number(also.depth)) })
            : t('design.checks.plantsWhoseRootsWater'),
        remedy:
          also.path === 'along'
            ? t('design.checks.bedAbout200Mm')
            : t('design.checks.finishMoreFinePlanting', { plantedLeast: small(Number(also.plantedLeast)) }),
      }
    case 'layer-stability':
      return {
        title: t('design.checks.eachLayerHoldsFiner'),
        figure:
          figure === 0
            ? t('design.checks.noNeighboursCompare')
            : t('design.checks.d15D85Most', { figure: formatNumber(figure), limit }),
        reason: t('design.checks.terzaghisFilterRuleWider'),
        remedy: t('design.checks.putBetweenStoneSize'),
      }
    case 'duty-in-range':
      return {
        title: t('design.checks.pumpRunsWhereMeant'),
        figure:
          also.status === 'no-flow'
            ? t('design.checks.cannotLiftHigh')
            : t('design.checks.meantWhenQuarterClogged', {
                figure: show(figure, 'flow'),
                least: show(Number(also.least), 'flow'),
                limit: show(limit, 'flow'),
                clogged: show(Number(also.clogged), 'flow'),
              }),
        reason:
          also.status === 'beyond-curve'
            ? t('design.checks.systemAsksSoLittle')
            : t('design.checks.outsideRangePumpWastes'),
        remedy:
          also.status === 'no-flow' ? t('design.checks.pumpMoreHeadLess') : t('design.checks.anotherPumpAnotherSpeed'),
      }
    case 'pipe-velocity':
      return {
        title: t('design.checks.pipesWideEnough'),
        figure: t('design.checks.mSMostM', {
          figure: show(figure, 'speed'),
          side: also.side!,
          limit: show(limit, 'speed'),
        }),
        reason: t('design.checks.fastWaterWastesHead'),
        remedy: t('design.checks.nextPipeSize'),
      }
    case 'outlet-capacity':
      return {
        title: t('design.checks.wayBackRunsHalf'),
        figure: t('design.checks.halfFull', {
          figure: show(figure, 'flow'),
          limit: show(limit, 'flow'),
          count:
            Number(also.count) > 1
              ? t('design.checks.oneBlocked', { blocked: show(Number(also.blocked), 'flow') })
              : '',
        }),
        reason: t('design.checks.gravityMovesReturnNot'),
        remedy: t('design.checks.widerReturnTwoThem'),
      }
    case 'outlet-order':
      return {
        title: t('design.checks.returnLargerThanInlet'),
        figure: t('design.checks.returnInlet', {
          figure: small(figure),
          count: Number(also.count) > 1 ? ` × ${also.count}` : '',
          limit: small(limit),
        }),
        reason: t('design.checks.whatPumpPushesThrough'),
        remedy: t('design.checks.leastOneNominalSize'),
      }
    case 'drain-back':
      return {
        title: t('design.checks.pondStaysBelowRim'),
        figure: t('design.checks.risesFreeboard', { figure: mm(figure), limit: mm(limit) }),
        reason: t('design.checks.runBackDownHighest', {
          volume: show(Number(also.volume), 'volume'),
          sludge: also.sludge === 'yes' ? t('design.checks.chamberRunsBackSludge') : '',
          valve: also.valve === 'yes' ? t('design.checks.checkValveHoldsWhile') : '',
        }),
        remedy: t('design.checks.airBreakHoleBreather'),
      }
    case 'stays-wet':
      return {
        title: t('design.checks.bedStaysWetWhen'),
        figure: t('design.checks.treatingStoneStaysUnder', { figure: percent(figure) }),
        reason: t('design.checks.drainedStoneLosesBacteria'),
        remedy: t('design.checks.raiseAirBreakRaise'),
      }
    case 'restart':
      return {
        title: t('design.checks.restartDoesNotRun'),
        figure: t('design.checks.drawsDown', {
          figure: mm(figure),
          minutes: Number.isFinite(Number(also.minutes))
            ? t('design.checks.fullAgainMin', { minutes: formatNumber(Number(also.minutes)) })
            : '',
        }),
        reason: t('design.checks.skimmerRunsDryDraws'),
        remedy: t('design.checks.keepMoreWaterBed'),
      }
    case 'vault':
      return {
        title:
          also.kind === 'drain' ? t('design.checks.bottomDrainEachVessel') : t('design.checks.vaultCanReachedPumped'),
        figure:
          also.kind === 'none'
            ? t('design.checks.noVault')
            : t('design.checks.widePipePitched', {
                figure: small(figure),
                pitch: formatNumber(Number(also.pitch)),
                low: also.low === 'yes' ? t('design.checks.lowPoint') : t('design.checks.notLowPoint'),
              }),
        reason: t('design.checks.sumpPumpMustGet'),
        remedy: t('design.checks.vaultMoreLowEnd', { limit: small(limit) }),
      }
    case 'flush-interval':
      return {
        title: t('design.checks.goesFourMonthsBetween'),
        figure: t('design.checks.dueAboutEvery', { figure: months(figure, t) }),
        reason: t('design.checks.sludge75MmChamber'),
        remedy: t('design.checks.skimmerDrumBeforeBed'),
      }
    case 'serviceability':
      return {
        title: t('design.checks.easyCleanOut'),
        figure: t('design.checks.points', {
          figure,
          limit,
          missing: also.missing
            ? t('design.checks.lacks', {
                map: String(also.missing)
                  .split(' ')
                  .map((key) => t(`design.serviceWords.${key as keyof Catalogue['design']['serviceWords'] & string}`))
                  .join(', '),
              })
            : '',
        }),
        reason: t('design.checks.filterHardReachDoes'),
        remedy: t('design.checks.giveWhatLacks'),
      }
    case 'wall-loads':
      return {
        title: t('design.checks.wallsWhatCarriesThem'),
        figure: t('design.checks.highKnEachMetre', {
          figure: show(figure, 'length'),
          thrust: show(Number(also.thrust), 'lineLoad'),
          floor: show(Number(also.floor), 'floorLoad'),
        }),
        reason: t('design.checks.waterGravelPushSquare', { limit: show(limit, 'length') }),
        remedy: t('design.checks.confirmedLicensedEngineer'),
      }
    case 'liner':
      return {
        title: t('design.checks.linerOnePiece'),
        figure: `${show(Number(also.length), 'length')} × ${show(Number(also.width), 'length')}`,
        reason: t('design.checks.rollsUpWideWider', { limit: show(limit, 'length') }),
        remedy: t('design.checks.narrowerBedSeamSomeone'),
      }
    case 'plants':
      return {
        title: t('design.checks.plantingSuitsBed'),
        figure: t('design.checks.coverSecondYearKinds', {
          figure: percent(figure),
          heavyKinds: also.heavyKinds!,
          findings: Number(also.findings) > 0 ? t('design.checks.misplaced', { findings: also.findings! }) : '',
          regulated:
            Number(also.regulated) > 0 ? t('design.checks.regulatedSomewhere', { regulated: also.regulated! }) : '',
        }),
        reason: t('design.checks.severalHeavyFeedersLow'),
        remedy: t('design.checks.seePlantingPlan'),
      }
    case 'uv':
      return {
        title: t('design.checks.uvHouseHas'),
        figure: t('design.checks.fittedHouse', {
          figure,
          bog: t(UV_RULES[String(also.rule) as keyof typeof UV_RULES]),
        }),
        reason: t('design.checks.someFitOneAlways'),
        remedy: limit === 1 ? t('design.checks.fitUvClarifier') : t('design.checks.leaveUvOut'),
      }
    case 'electrics':
      return {
        title: t('design.checks.electricsLicensedElectrician'),
        figure: t('design.checks.wBesideWater', { figure: formatNumber(figure) }),
        reason: 'RCD/GFCI protection, a drip loop, a disconnect in sight, all wiring by a licensed electrician.',
        remedy: t('design.checks.agreedElectrician'),
      }
    case 'auto-fill':
      return {
        title: t('design.checks.topUpBackflow'),
        figure:
          figure > 0
            ? t('design.checks.washWaterDayMust', { figure: show(figure, 'volume') })
            : t('design.checks.autoFillIfAny'),
        reason: t('design.checks.autoFillNeedsBackflow'),
        remedy: t('design.checks.agreedPlumberNoAuto'),
      }
    case 'children':
      return {
        title: t('design.checks.openWaterVaultsGuarded'),
        figure: figure > 0 ? t('design.checks.vaultWide', { figure: small(figure) }) : t('design.checks.openWater'),
        reason: t('design.checks.childrenDrownOpenPonds'),
        remedy: t('design.checks.lookedCustomer'),
      }
    case 'services':
      return {
        title: t('design.checks.buriedServicesMarkedBefore'),
        figure: t('design.checks.dig', { figure: show(figure, 'length') }),
        reason: t('design.checks.cablesGasWaterMarked'),
        remedy: t('design.checks.markingArranged'),
      }
    case 'phosphorus':
    case 'regeneration':
    case 'stock-limit':
    case 'surface-to-volume':
    case 'fits-shore':
    case 'trench':
    case 'levels':
    case 'spare-return':
    case 'power':
      return pondCheckWords(check.id, check, show, t)
    case 'site-clearances':
    case 'site-levels':
    case 'site-stream':
    case 'site-access':
    case 'site-supply':
    case 'site-skimmers':
      return sitePlanCheckWords(check.id, check, show, t)
    case 'suction':
      return suctionCheckWords(check, show, t)
    case 'train-flow':
    case 'train-order':
    case 'intake-level':
    case 'uv-dose':
    case 'heater-flow':
    case 'wash-water':
    case 'train-reach':
      return trainCheckWords(check.id, check, show, t)
    case 'winter':
      return {
        title: t('design.checks.winterThought'),
        figure: t('design.checks.coldestMonthBed', {
          figure: show(figure, 'temperature'),
          plan: also.plan === 'runs' ? t('design.checks.runs') : t('design.checks.drained'),
        }),
        reason: also.plan === 'runs' ? t('design.checks.runningBedUnderIce') : t('design.checks.drainedBedNeedsLow'),
        remedy: t('design.checks.drainWinter'),
      }
  }
}

export const powerWords = (powerW: number, kWhPerYear: number, t: Texts): string =>
  t('design.checks.wKwhYear', {
    powerW: formatNumber(powerW),
    powerW2: formatNumber(kWhPerYear, 'en', 4),
  })
