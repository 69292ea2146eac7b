import type { DoseProblem } from '@/core/water/products'
import type { QuantityKind } from '@/core/units/kinds'
import { PURPOSE_NAMES } from '@/domain/stores/product-book'

const figure = (value: number): string => String(Number(value.toPrecision(3)))

/** What speaks against a dose now. */
export function doseProblemWords(problem: DoseProblem, show: (value: number, kind: QuantityKind) => string): string {
  switch (problem.code) {
    case 'over-label':
      return `Over the label: at most ${figure(problem.mostPerM3)} per m³.`
    case 'too-cold':
      return `The water is ${show(problem.waterC, 'temperature')}; this works from ${show(problem.fromC, 'temperature')}.`
    case 'too-warm':
      return `The water is ${show(problem.waterC, 'temperature')}; this is for up to ${show(problem.toC, 'temperature')}.`
    case 'too-close':
      return `${PURPOSE_NAMES[problem.purpose]} was given ${figure(problem.hoursAgo)} h ago; wait ${figure(problem.hours)} h.`
    case 'too-soon':
      return `Given ${figure(problem.hoursAgo)} h ago; the label leaves ${figure(problem.hours)} h between doses.`
    case 'course-over':
      return `Given ${figure(problem.times)} times in ${figure(problem.days)} days: the label’s course is over.`
    case 'licence':
      return 'Only by a licensed applicator where the law says so.'
  }
}
