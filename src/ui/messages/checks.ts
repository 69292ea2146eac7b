import type { Check } from '@/core/filter/checks'
import type { School } from '@/core/filter/practice'
import { formatNumber, type FormatOptions } from '@/core/units/format'
import type { QuantityKind } from '@/core/units/kinds'
import { SCHOOL_NAMES } from './schools'

type Show = (value: number, kind: QuantityKind, options?: FormatOptions) => string

export interface CheckWords {
  readonly title: string
  readonly figure: string
  readonly reason: string
  readonly remedy: string
}

const PASS_FROM_MONTHS = 30.4
const percent = (share: number) => `${Math.round(share * 100)} %`

/** A check in the trade's words: the figure, why it matters, and what would mend it. */
export function checkWords(check: Check, show: Show): CheckWords {
  const { figure, limit, also } = check
  const mm = (value: number) => show(value / 1000, 'length', { scale: 'small' })
  switch (check.id) {
    case 'house-size':
      return {
        title: `Large enough by the house school (${SCHOOL_NAMES[also.school as School].toLowerCase()})`,
        figure: `${show(figure, 'area')} of ${show(limit, 'area')}`,
        reason: 'Oversizing rarely hurts, fish grow and breed; undersizing shows as green water.',
        remedy: `Lengthen or widen the bed to at least ${show(limit, 'area')}, or choose another school with a reason.`,
      }
    case 'nitrogen-size':
      return {
        title: 'Large enough for the ammonia, now and with grown fish',
        figure: `${show(figure, 'area')}; now ${show(Number(also.now), 'area')}, grown ${show(limit, 'area')}`,
        reason: `With grown fish this bed would let TAN settle at ${show(Number(also.tan), 'concentration')} in the worst month.`,
        remedy: 'Enlarge the bed, use smaller stone below the planting layer, or keep fewer fish.',
      }
    case 'oxygen-flow':
      return {
        title: 'Flow brings enough oxygen',
        figure: `${show(figure, 'flow')} of ${show(limit, 'flow')} (all demands: ${show(Number(also.needed), 'flow')})`,
        reason: 'The bacteria need 4.57 g of oxygen per g of ammonia, and it arrives only with the water.',
        remedy: 'Choose the next larger pump, a wider delivery pipe, or less lift.',
      }
    case 'upflow-velocity':
      return {
        title: 'Upflow slow enough for a bed',
        figure: `${formatNumber(figure)} m/h, at most ${limit} m/h`,
        reason: 'Between 1 and 6 m/h the bed settles and treats; above 10 m/h it lifts fines and short-circuits.',
        remedy: 'Enlarge the bed or send the surplus past it by a bypass.',
      }
    case 'bed-loss':
      return {
        title: 'Little head lost in the bed',
        figure: `${formatNumber(figure)} mm clean, ${formatNumber(Number(also.atFlush))} mm when a flush is due`,
        reason: `Ergun’s law through the stone. At this feed and leaf fall a flush is due about every ${Number.isFinite(Number(also.flushDays)) ? `${formatNumber(Number(also.flushDays) / PASS_FROM_MONTHS, 'en', 2)} months` : 'few years'}.`,
        remedy: 'Coarser stone below, a thinner planting layer, or a larger bed.',
      }
    case 'uniformity':
      return {
        title: 'Even feed along the distribution pipe',
        figure: `weakest slot ${percent(figure)} of the strongest, at least ${percent(limit)}`,
        reason: 'Uneven slots leave dead corners that rot.',
        remedy: 'A wider distribution pipe, or fewer and smaller slots.',
      }
    case 'root-zone':
      return {
        title: 'Flow reaches the roots',
        figure: `${percent(figure)} through the planting layer, ${show(Number(also.planted), 'length', { scale: 'small' })} deep`,
        reason: 'Plants whose roots the water passes by go pale and stunted.',
        remedy: `Finish the bed with ${show(Number(also.plantedLeast), 'length', { scale: 'small' })} or more of fine planting stone, fed evenly from below.`,
      }
    case 'layer-stability':
      return {
        title: 'Each layer holds the finer one above',
        figure: figure === 0 ? 'no neighbours to compare' : `D15/D85 ${formatNumber(figure)}, at most ${limit}`,
        reason: 'Terzaghi’s filter rule: wider steps let fines fall through and clog the chamber.',
        remedy: 'Put an in-between stone size between the two layers.',
      }
    case 'duty-in-range':
      return {
        title: 'Pump runs where it is meant to',
        figure:
          also.status === 'no-flow'
            ? 'it cannot lift this high'
            : `${show(figure, 'flow')}, meant for ${show(Number(also.least), 'flow')} to ${show(limit, 'flow')}`,
        reason:
          also.status === 'beyond-curve'
            ? 'The system asks for so little head that the pump runs off the end of its curve.'
            : 'Outside its range a pump wastes power and wears.',
        remedy: also.status === 'no-flow' ? 'A pump with more head, or less lift.' : 'Another pump, or another pipe width.',
      }
    case 'drain-back':
      return {
        title: 'Pond stays below its rim when the pump stops',
        figure: `rises ${mm(figure)}, freeboard ${mm(limit)}`,
        reason: `${show(Number(also.volume), 'volume')} run back down to the highest air break. A bed that drains dry loses its bacteria within hours.`,
        remedy: 'An air-break hole or breather above the bed’s water level.',
      }
  }
}

export const powerWords = (powerW: number): string => `${powerW} W, ${formatNumber((powerW * 24 * 365) / 1000, 'en', 4)} kWh a year`
