import { bandOf, ComparisonRunner, type Comparison } from './comparison'
import { freezeComparison } from './frozen-comparison'
import { SAMPLE_POND, SAMPLE_STATION } from '../trials/sample-pond'

const comparison: Comparison = {
  pond: SAMPLE_POND,
  station: SAMPLE_STATION,
  known: { today: '2027-05-01', observed: [], forecast: [] },
  from: '2027-05-01',
  days: 14,
  scenarios: [
    { pond: SAMPLE_POND, events: [] },
    { pond: SAMPLE_POND, events: [{ kind: 'rinse-media', day: 2, share: 1, water: 'tap' }] },
  ],
  start: 'green',
  water: {},
  seed: 3,
}

it('keeps the bands and measures of the same members', () => {
  const frozen = freezeComparison(comparison, 4)
  expect(frozen.options.map((way) => way.measures.length)).toEqual([4, 4])
  const runner = new ComparisonRunner(comparison)
  const runs = [0, 1, 2, 3].map((member) => runner.member(member)[1]!)
  expect(frozen.options[1]!.measures).toEqual(runs.map((run) => run.measures))
  const band = bandOf(runs, 'clarityM', 14)
  frozen.options[1]!.clarity.p50.forEach((clarity, day) => expect(clarity).toBeCloseTo(band.p50[day]!, 3))
  // what is kept is plain data
  expect(JSON.parse(JSON.stringify(frozen))).toEqual(frozen)
})
