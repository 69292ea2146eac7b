import { jobType } from '../core/jobs/job-types'
import { cleanoutQuantities, DEFAULT_KIT } from '../core/jobs/cleanout-quantities'
import { loadList } from './load-list'

const pond = { waterM3: 8, maxDepthM: 1.1, fish: [{ species: 'goldfish' as const, count: 20, lengthM: 0.14 }], sourceChlorinated: true }
const quantities = cleanoutQuantities(pond, DEFAULT_KIT, 0.6)
const visit = (key: string, state: 'planned' | 'done' = 'planned') => ({ job: jobType(key)!, quantities, state })

describe('the load list', () => {
  it('sums what refills take and carries one tank for the largest of the day', () => {
    const list = loadList([visit('spring-cleanout'), visit('spring-cleanout'), visit('netting')])
    expect(list.dechlorinatorG).toBeCloseTo(2 * quantities.dechlorinator.totalG, 9)
    expect(list.tapWaterM3).toBeCloseTo(2 * quantities.refillM3, 9)
    expect(list.tank).toEqual(quantities.holding)
    expect([...list.kit].sort()).toEqual(['net-poles', 'tank', 'washer'])
  })
  it('leaves out what is done, and doses nothing for visits that dose by the label on site', () => {
    expect(loadList([visit('spring-cleanout', 'done'), visit('spring-startup')])).toEqual({ kit: [], tank: null, dechlorinatorG: 0, tapWaterM3: 0 })
  })
})
