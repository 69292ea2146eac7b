import type { GateReason } from '@/core/visits/gates/gate'
import type { QuantityKind } from '@/core/units/kinds'
import type { StopKind } from '@/domain/visits/step-gate'
import { FIGURE_NAMES } from '@/domain/visits/figure-names'
import { READING_NAMES } from '@/domain/water/reading-names'
import { fishBackText } from './fish-back'

type Show = (value: number, kind: QuantityKind) => string

/** What a stop means, before its reasons. */
export const GATE_HEADINGS: Readonly<Record<StopKind, string>> = {
  'fish-back-safe': 'Stop: fish stay in the tank.',
  'fish-handling': 'Stop: leave the fish where they are.',
  'raise-kh': 'Stop: do not raise KH yet.',
  'water-change': 'Stop: not this change.',
  salt: 'Stop: no salt, or less.',
  'media-clean': 'Stop: leave the media as they are.',
  'algae-treatment': 'Stop: do not treat.',
  feeding: 'Stop: not so much food.',
  dose: 'Stop: not this product now.',
  timer: 'Stop: wait for the timer.',
  count: 'Stop: the fish do not add up.',
  'deep-sludge': 'Stop: leave the sediment alone, air on, step back.',
}

/** Why a step has to wait, and what ends the wait. */
export function gateText(reason: GateReason, show: Show): string {
  switch (reason.code) {
    case 'needs-test':
      return `Test first. Missing: ${reason.missing.map((kind) => READING_NAMES[kind].toLowerCase()).join(', ')}.`
    case 'needs-figure':
      return `Write down first: ${reason.missing.map((figure) => FIGURE_NAMES[figure].toLowerCase()).join(', ')}. 0 if none.`
    case 'ammonia-after':
      return `pH would come to ${show(reason.phAfter, 'ph')} and toxic ammonia to ${show(reason.nh3MgL, 'concentration')}, above ${show(reason.limitMgL, 'concentration')}. Change a part of the water first.`
    case 'rise-too-steep':
      return `KH by ${show(reason.riseDH, 'hardness')} in one day; at most ${show(reason.mostDH, 'hardness')}. Do the rest another day.`
    case 'ph-too-steep':
      return `pH would rise by ${show(reason.risePh, 'ph')}; at most ${show(reason.mostPh, 'ph')} a day. Raise KH by one degree or less.`
    case 'too-much-at-once':
      return `${show(reason.share, 'share')} of the water at once; at most ${show(reason.mostShare, 'share')}. Do the rest a day later.`
    case 'too-soon':
      return `Water was changed ${Math.round(reason.hours)} hours ago; leave ${reason.leastHours} hours between changes.`
    case 'inlet-temperature':
      return `The water that goes in differs by ${show(reason.differenceC, 'temperatureStep')}; at most ${show(reason.limitC, 'temperatureStep')}. Mix it, or let it stand.`
    case 'too-salty':
      return `Salt would come to ${show(reason.share, 'share')}; the pond stands ${show(reason.mostShare, 'share')}. It leaves only with water.`
    case 'media-at-once':
      return `${show(reason.share, 'share')} of the biological media at once with fish in the pond; at most ${show(reason.mostShare, 'share')}. The other half another week.`
    case 'media-tap-water':
      return 'Tap water kills what lives on the media. Use pond water; after a reset with tap water treat it as a new filter.'
    case 'oxygen':
      return `Oxygen is ${show(reason.mgL, 'concentration')}; it takes ${show(reason.leastMgL, 'concentration')} or more. Air on, test again.`
    case 'timer-not-started':
      return `Start the ${Math.round(reason.minutes)}-minute timer, and wait until it has run out.`
    case 'timer-running':
      return `The timer still runs for ${Math.ceil(reason.leftMin)} minutes.`
    case 'fish-missing':
      return reason.back + reason.lost > reason.out
        ? `${reason.out} fish went out, ${reason.back} come back${reason.lost > 0 ? ` and ${reason.lost} are lost` : ''}: more than went out. Count again.`
        : `${reason.out} fish went out, ${reason.back} come back${reason.lost > 0 ? `, ${reason.lost} are lost` : ''}: ${reason.out - reason.back - reason.lost} are missing. Look in tanks, nets and skimmer, count again, or write down how many are lost.`
    case 'needs-answer':
      return 'Choose one of the answers.'
    case 'chlorine-in':
      return `The new water holds ${show(reason.mgL, 'concentration')} of chlorine; dechlorinate it as it runs in.`
    case 'feed-ammonia':
      return `Ammonia (TAN) is ${show(reason.mgL, 'concentration')}, above ${show(reason.limitMgL, 'concentration')}: the bacteria cannot take that feed yet.`
    case 'feed-nitrite':
      return `Nitrite is ${show(reason.mgL, 'concentration')}, above ${show(reason.limitMgL, 'concentration')}: the bacteria cannot take that feed yet.`
    case 'kh-low':
      return `KH is ${show(reason.khDH, 'hardness')}; flocculants use it up and pH falls. Raise KH to ${show(reason.minDH, 'hardness')} first.`
    case 'dose-too-soon':
      return `${reason.product} was given ${Math.round(reason.hoursAgo)} hours ago; the label leaves ${Math.round(reason.hours)} hours between doses.`
    case 'dose-course-over':
      return `${reason.product} was given ${reason.times} times in ${reason.days} days: that is the label’s course. Test before another one.`
    case 'night-oxygen':
      return `Oxygen may fall to ${show(reason.mgL, 'concentration')} by dawn; ${show(reason.leastMgL, 'concentration')} must be left. Aerate, and treat on a better day.`
    case 'no-licence':
      return 'The law may ask for a licensed applicator. Leave it to somebody who is.'
    case 'die-off':
      return 'Algae that die off already use up the oxygen of the night. Aerate and wait.'
    case 'sulfide-smell':
      return 'Hydrogen sulfide: stop, leave, ventilate. It numbs the nose before it harms.'
    case 'gasping':
      return 'Fish gasp: air on at once, stop stirring, test oxygen, ammonia and nitrite.'
    default:
      return fishBackText(reason, show)
  }
}
