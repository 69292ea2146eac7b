import type { PondInput } from '../../src/domain/ponds/pond'
import type { ServiceLine, ServicePlan } from '../../src/domain/schedule/service-plan'

const line = (job: string, rest: Partial<ServiceLine> = {}): ServiceLine => ({
  job,
  everyDays: null,
  from: null,
  to: null,
  starts: null,
  ends: null,
  priceMinor: null,
  ...rest,
})

const every = (job: string, everyDays: number, from: string, to: string) => line(job, { everyDays, from, to })

/** Ice and leaves are looked after from the first frost to the last. */
const winterChecks = (everyDays: number): ServiceLine[] => [
  every('winter-check', everyDays, '11-10', '12-31'),
  every('winter-check', everyDays, '01-02', '03-10'),
]

/** What a customer of an ordinary pond has agreed to: by its fish, its trees and how hard the winter is there. */
export function agreedFor({ use, trees, altitudeM }: Pick<PondInput, 'use' | 'trees' | 'altitudeM'>): ServicePlan {
  const netting = trees === 'none' ? [] : [line('netting')]
  if (use === 'wildlife')
    return [
      line('spring-startup'),
      every('plant-care', 42, '05-01', '09-30'),
      every('wetland-flush', 150, '05-01', '11-01'),
      ...netting,
      ...winterChecks(35),
    ]
  if (use === 'few-small-fish')
    return [
      line('spring-startup'),
      every('routine', 28, '04-20', '10-25'),
      ...netting,
      ...(altitudeM > 100 ? [line('winter-shutdown')] : []),
      ...winterChecks(altitudeM > 100 ? 21 : 35),
    ]
  return [
    line('spring-cleanout'),
    every('routine', use === 'koi' || use === 'swimming' ? 14 : 21, '04-10', '11-05'),
    ...netting,
    line('winter-shutdown'),
    ...winterChecks(21),
  ]
}
