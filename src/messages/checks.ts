import type { Check } from '@/core/filter/checks'
import type { Feed } from '@/core/filter/design-input'
import type { FilterType } from '@/core/filter/filter-types'
import type { DemandSource } from '@/core/filter/flow/flow-demand'
import type { School } from '@/core/filter/house-rules'
import type { FallsLook } from '@/core/hydraulics/falls'
import { formatNumber, type FormatOptions } from '@/core/units/format'
import type { QuantityKind } from '@/core/units/kinds'
import { DEMAND_NAMES, FEED_NAMES, FILTER_TYPE_NAMES, LOOK_NAMES } from './filters'
import { SCHOOL_NAMES } from './schools'

type Show = (value: number, kind: QuantityKind, options?: FormatOptions) => string

export interface CheckWords {
  readonly title: string
  readonly figure: string
  readonly reason: string
  readonly remedy: string
}

const DAYS_PER_MONTH = 30.4
const percent = (share: number) => `${Math.round(share * 100)} %`
const months = (days: number) => (Number.isFinite(days) ? `${formatNumber(days / DAYS_PER_MONTH, 'en', 2)} months` : 'years')

const SERVICE_WORDS: Readonly<Record<string, string>> = {
  cleanout: 'a cleanout vault or drain',
  'wide-enough': 'a vault wide enough for the sump pump',
  pitched: 'a pitched pipe',
  'low-point': 'the vault at the low point',
  valve: 'a valve within reach',
  discharge: 'planting within reach for the discharge',
}

/** A check in the trade's words: the figure, why it matters, and what would mend it. */
export function checkWords(check: Check, show: Show): CheckWords {
  const { figure, limit, also } = check
  const small = (m: number) => show(m, 'length', { scale: 'small' })
  const mm = (value: number) => small(value / 1000)
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
        reason: `${Number.isFinite(Number(also.tan)) ? `With grown fish TAN would settle at ${show(Number(also.tan), 'concentration')} in the worst month.` : 'As it stands nothing treats the ammonia of the fish.'}${Number(also.media) > 0.01 ? ` Media beside the bed count as ${show(Number(also.media), 'area')} of it.` : ''}`,
        remedy: 'Enlarge the bed, use smaller stone below the planting layer, add media beside it, or keep fewer fish.',
      }
    case 'tan-target':
      return {
        title: 'Ammonia stays under its target',
        figure: `${Number.isFinite(figure) ? show(figure, 'concentration') : 'no limit'} in the worst month; target ${show(limit, 'concentration')}`,
        reason: 'With grown fish, as the bed and its flow treat it through the year.',
        remedy: 'Enlarge the bed, send more of the flow through it, add media beside it, or keep fewer fish.',
      }
    case 'flow-needed':
      return {
        title: 'The pump delivers what is needed',
        figure: `${show(figure, 'flow')} of ${show(limit, 'flow')}`,
        reason: `What asks for most: ${DEMAND_NAMES[also.governedBy as DemandSource]}.`,
        remedy: 'A larger pump, a wider delivery pipe, or less lift.',
      }
    case 'bed-water':
      return {
        title: 'The pond has water to fill the bed',
        figure: `${show(figure, 'volume')} in the bed; at most ${show(limit, 'volume')}`,
        reason: `The stone’s voids take ${percent(Number(also.share))} of the pond’s water when the bed fills.`,
        remedy: 'A smaller or shallower bed, less void modules, or fill it by hose and not from the pond.',
      }
    case 'type-suits':
      return {
        title: 'This kind of filter suits the pond',
        figure: `${FILTER_TYPE_NAMES[also.type as FilterType]} for ${show(figure, 'volume')}`,
        reason:
          Number(also.most) < 1e4
            ? `Usual for ponds of ${show(Number(also.least), 'volume')} to ${show(Number(also.most), 'volume')}.`
            : `Usual for ponds from ${show(Number(also.least), 'volume')} up.`,
        remedy: 'Choose another kind of filter.',
      }
    case 'oxygen-flow':
      return {
        title: 'Flow brings enough oxygen',
        figure: `${show(figure, 'flow')} of ${show(limit, 'flow')}`,
        reason: `The bacteria need 4.57 g of oxygen per g of ammonia, and it arrives only with the water. All demands: ${show(Number(also.needed), 'flow')}, ${DEMAND_NAMES[also.governedBy as DemandSource]}.`,
        remedy: 'A larger pump, a wider delivery pipe, or less lift.',
      }
    case 'turnover':
      return {
        title: 'The whole pond comes round often enough',
        figure: `${Number.isFinite(Number(also.hours)) ? `once in ${formatNumber(Number(also.hours))} h` : 'never'}, ${show(figure, 'flow')} of ${show(limit, 'flow')}`,
        reason: 'Koi ponds turn over every two hours, others every four.',
        remedy: 'A larger pump or a wider pipe.',
      }
    case 'skimmer':
      return {
        title: 'Skimmers draw the surface',
        figure: `${show(figure, 'flow')} per metre of mouth; each serves ${show(Number(also.serves), 'area')}`,
        reason: `Between 20 and 60 m³/h per metre a mouth draws leaves and can still swallow them; one serves up to ${show(Number(also.servesMost), 'area')}.`,
        remedy: figure < limit ? 'More flow, or a narrower mouth.' : 'Another skimmer, or a wider mouth. One can be fitted to nearly any existing pond.',
      }
    case 'falls-look':
      return {
        title: 'Falls look as wanted',
        figure: `${small(figure)} thick: ${LOOK_NAMES[also.look as FallsLook]}`,
        reason: `Francis’ weir over a lip of ${show(Number(also.width), 'length')}. An even curtain here wants ${show(limit, 'flow')}.`,
        remedy: figure < 0.008 ? 'A narrower lip, or more flow.' : 'A wider lip, or part of the flow past the falls.',
      }
    case 'upflow-velocity':
      return {
        title: also.path === 'along' ? 'Slow enough along the bed' : 'Upflow slow enough for a bed',
        figure: `${formatNumber(figure)} m/h, at most ${limit} m/h`,
        reason: 'Slow water settles and is treated; fast water lifts fines and short-circuits.',
        remedy: 'Enlarge the bed, or send the surplus past it by a bypass.',
      }
    case 'bed-depth':
      return {
        title: 'Depth is usual for this kind of bed',
        figure: `${small(figure)} deep, usual up to ${small(limit)}`,
        reason:
          also.type === 'horizontal-bed' ? 'In a deep horizontal bed the water runs under the roots.' : 'Deeper stone costs digging and gets little oxygen.',
        remedy: 'A shallower, larger bed.',
      }
    case 'bed-loss':
      return {
        title: 'Little head lost in the bed',
        figure: `${formatNumber(figure)} mm clean, ${formatNumber(Number(also.atFlush))} mm when a flush is due`,
        reason: 'Ergun’s law through the stone.',
        remedy: 'Coarser stone below, a thinner planting layer, or a larger bed.',
      }
    case 'uniformity':
      return {
        title: 'Water enters evenly',
        figure: `weakest ${percent(figure)} of the strongest, at least ${percent(limit)} (${FEED_NAMES[also.feed as Feed].toLowerCase()})`,
        reason: 'Uneven feed leaves dead corners that rot.',
        remedy: also.feed === 'chamber' ? 'A higher chamber, or a slotted pipe.' : 'A wider distribution pipe, or fewer and smaller slots.',
      }
    case 'root-zone':
      return {
        title: 'Flow reaches the roots',
        figure: `${percent(figure)} of the flow passes the planted depth`,
        reason:
          also.path === 'along'
            ? `In a bed ${small(Number(also.depth))} deep the water runs under the roots, and the plants above go pale and stunted though the pump runs.`
            : 'Plants whose roots the water passes by go pale and stunted.',
        remedy:
          also.path === 'along'
            ? 'A bed about 200 mm deep, with headers slotted over their full height.'
            : `Finish with ${small(Number(also.plantedLeast))} or more of fine planting stone.`,
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
            : `${show(figure, 'flow')}, meant for ${show(Number(also.least), 'flow')} to ${show(limit, 'flow')}; ${show(Number(also.clogged), 'flow')} when a quarter clogged`,
        reason:
          also.status === 'beyond-curve'
            ? 'The system asks for so little head that the pump runs off the end of its curve.'
            : 'Outside its range a pump wastes power and wears.',
        remedy: also.status === 'no-flow' ? 'A pump with more head, or less lift.' : 'Another pump, another speed, or another pipe width.',
      }
    case 'pipe-velocity':
      return {
        title: 'Pipes wide enough',
        figure: `${formatNumber(figure)} m/s in the ${also.side}, at most ${limit} m/s`,
        reason: 'Fast water wastes head, hammers and wears; a fast suction draws air.',
        remedy: 'The next pipe size.',
      }
    case 'outlet-capacity':
      return {
        title: 'The way back runs half full',
        figure: `${show(figure, 'flow')} of ${show(limit, 'flow')} half full${Number(also.count) > 1 ? `; ${show(Number(also.blocked), 'flow')} with one blocked` : ''}`,
        reason: 'Gravity moves the return, not pressure (Manning). A return that runs full overflows the bed at the first leaf.',
        remedy: 'A wider return, or two of them.',
      }
    case 'outlet-order':
      return {
        title: 'Return larger than the inlet',
        figure: `return ${small(figure)}${Number(also.count) > 1 ? ` × ${also.count}` : ''}, inlet ${small(limit)}`,
        reason: 'What a pump pushes in through a narrow pipe must fall back through a wide one.',
        remedy: 'At least one nominal size up.',
      }
    case 'drain-back':
      return {
        title: 'Pond stays below its rim when the pump stops',
        figure: `rises ${mm(figure)}, freeboard ${mm(limit)}`,
        reason: `${show(Number(also.volume), 'volume')} run back down to the highest air break.${also.sludge === 'yes' ? ' The chamber runs back with its sludge.' : ''}${also.valve === 'yes' ? ' The check valve holds it while it is clean; fouled, it does not.' : ''}`,
        remedy: 'An air-break hole or breather above the bed’s water level.',
      }
    case 'stays-wet':
      return {
        title: 'Bed stays wet when the pump stops',
        figure: `${percent(figure)} of the treating stone stays under water`,
        reason: 'Drained stone loses its bacteria within an hour or so.',
        remedy: 'Raise the air break, or raise the inlet.',
      }
    case 'restart':
      return {
        title: 'Restart does not run the pond low',
        figure: `draws ${mm(figure)} down${Number.isFinite(Number(also.minutes)) ? `, full again in ${formatNumber(Number(also.minutes))} min` : ''}`,
        reason: 'A skimmer that runs dry draws air into the pump.',
        remedy: 'Keep more water in the bed: a higher air break.',
      }
    case 'vault':
      return {
        title: also.kind === 'drain' ? 'Bottom drain in each vessel' : 'Vault can be reached and pumped',
        figure:
          also.kind === 'none'
            ? 'no vault'
            : `${small(figure)} wide, pipe pitched ${formatNumber(Number(also.pitch))} %${also.low === 'yes' ? ', at the low point' : ', not at the low point'}`,
        reason: 'The sump pump must get down to where the sludge is; depth and gas make it no place for a person.',
        remedy: `A vault of ${small(limit)} or more at the low end, the pipe pitched to it by 1 % or more.`,
      }
    case 'flush-interval':
      return {
        title: 'Goes four months between flushes',
        figure: `due about every ${months(figure)}`,
        reason: 'Sludge of 75 mm in the chamber, or a tenth of the pores filled, calls for a flush.',
        remedy: 'A skimmer or drum before the bed, a larger bed, less feed, or a leaf net.',
      }
    case 'serviceability':
      return {
        title: 'Easy to clean out',
        figure: `${figure} of ${limit} points${
          also.missing
            ? `; lacks ${String(also.missing)
                .split(' ')
                .map((key) => SERVICE_WORDS[key] ?? key)
                .join(', ')}`
            : ''
        }`,
        reason: 'A filter that is hard to reach does not get cleaned.',
        remedy: 'Give it what it lacks.',
      }
    case 'wall-loads':
      return {
        title: 'Walls and what carries them',
        figure: `${show(figure, 'length')} high, ${formatNumber(Number(also.thrust))} kN on each metre of wall, ${formatNumber(Number(also.floor))} kN/m² on the floor`,
        reason: `Water and gravel push with the square of the height. Above ${show(limit, 'length')}, beside a building, on a slab or a roof a licensed engineer signs.`,
        remedy: 'Confirmed with a licensed engineer',
      }
    case 'liner':
      return {
        title: 'Liner in one piece',
        figure: `${show(Number(also.length), 'length')} × ${show(Number(also.width), 'length')}`,
        reason: `Rolls are up to ${show(limit, 'length')} wide; wider beds need a seam.`,
        remedy: 'A narrower bed, or a seam by someone who welds liner.',
      }
    case 'plants':
      return {
        title: 'Planting suits the bed',
        figure: `${percent(figure)} cover in the second year, ${also.heavyKinds} kinds of heavy feeders${Number(also.findings) > 0 ? `, ${also.findings} misplaced` : ''}${Number(also.regulated) > 0 ? `, ${also.regulated} regulated somewhere` : ''}`,
        reason:
          'Several heavy feeders, low plants in front, nothing that clogs over the pipe or spreads beside a lip. Lists of regulated plants differ: the reader checks their own.',
        remedy: 'See the planting plan.',
      }
    case 'uv':
      return {
        title: 'UV as the house has it',
        figure: `${figure} fitted; house: ${{ always: 'always fitted', crutch: 'only while the filter matures', never: 'not with a bog' }[String(also.school)]}`,
        reason: 'Some fit one always, some only until the bed has matured, some never with a bog.',
        remedy: limit === 1 ? 'Fit a UV clarifier' : 'Leave the UV out',
      }
    case 'electrics':
      return {
        title: 'Electrics by a licensed electrician',
        figure: `${formatNumber(figure)} W beside water`,
        reason: 'RCD/GFCI protection, a drip loop, a disconnect in sight, all wiring by a licensed electrician.',
        remedy: 'Agreed with the electrician',
      }
    case 'auto-fill':
      return {
        title: 'Top-up and backflow',
        figure: figure > 0 ? `wash water ${show(figure, 'volume')} a day must be topped up and treated` : 'auto-fill, if any',
        reason: 'An auto-fill needs a backflow preventer, fitted by a licensed plumber.',
        remedy: 'Agreed with the plumber, or no auto-fill',
      }
    case 'children':
      return {
        title: 'Open water and vaults guarded',
        figure: figure > 0 ? `vault ${small(figure)} wide` : 'open water',
        reason: 'Children drown in open ponds, emptied ponds and vaults: cover or guard. Deep vaults are confined spaces: nobody enters.',
        remedy: 'Looked at with the customer',
      }
    case 'services':
      return {
        title: 'Buried services marked before digging',
        figure: `${show(figure, 'length')} to dig`,
        reason: 'Cables, gas and water are marked before anyone digs.',
        remedy: 'Marking is arranged',
      }
    case 'winter':
      return {
        title: 'Winter is thought of',
        figure: `coldest month ${show(figure, 'temperature')}; bed ${also.plan === 'runs' ? 'runs on' : 'is drained'}`,
        reason:
          also.plan === 'runs'
            ? 'A running bed under ice needs a watch: ice dams send the pond over its edge.'
            : 'A drained bed needs a low drain and a store for the pump.',
        remedy: 'Drain it for the winter',
      }
  }
}

export const powerWords = (powerW: number): string => `${formatNumber(powerW)} W, ${formatNumber((powerW * 24 * 365) / 1000, 'en', 4)} kWh a year`
