import fc from 'fast-check'
import { VISIT_PLANNING } from '../../core/visits/types'
import { SERVICE_JOBS, SERVICE_TEMPLATES, ServicePlan } from './service-plan'
import { readServicePlansCsv, servicePlansCsv, type PondPlan } from './service-plan-csv'
import { withEnglish } from '../../../tests/fixtures/in-words'

const name = fc.constantFrom('Mill garden', 'Hall, north', '-1 basement', 'Inn “Otter”')
const line = fc
  .record({
    job: fc.constantFrom(...SERVICE_JOBS.map((job) => job.key)),
    everyDays: fc.integer({ min: 3, max: 366 }),
    months: fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { minLength: 2, maxLength: 2 }),
    price: fc.option(fc.integer({ min: 0, max: 1_000_000 })),
    dated: fc.boolean(),
  })
  .map(({ job, everyDays, months, price, dated }) => {
    const [from, to] = [...months].sort((a, b) => a - b).map((m) => `${String(m).padStart(2, '0')}-15`)
    const comesRound = VISIT_PLANNING[job]!.timing === 'interval'
    return {
      job,
      everyDays: comesRound ? everyDays : null,
      from,
      to,
      starts: dated ? '2027-01-01' : null,
      ends: dated ? '2028-12-31' : null,
      priceMinor: price,
    }
  })
const plan = fc.array(line, { minLength: 1, maxLength: 5 }).filter((lines) => ServicePlan.safeParse(lines).success)

describe('service plans as CSV', () => {
  it('come back as they went out', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.record({ customer: name, site: name, pond: name, lines: plan }), {
          maxLength: 4,
          selector: (p) => `${p.customer}|${p.site}|${p.pond}`,
        }),
        (plans) => {
          fc.pre(plans.length > 0)
          expect(readServicePlansCsv(servicePlansCsv(plans as PondPlan[]))).toMatchObject({ plans, problems: [] })
        },
      ),
    ))
  it('of all usual plans are read', () => {
    for (const { lines } of SERVICE_TEMPLATES)
      expect(readServicePlansCsv(servicePlansCsv([{ customer: 'C', site: 'A', pond: 'B', lines }])).problems).toEqual(
        [],
      )
  })
  it('leave a pond as it is when one of its lines does not read, and name the line', () => {
    const { plans, problems } = readServicePlansCsv(
      [
        'site,pond,job,every_days,from,to',
        'A,One,routine,28,04-01,10-01',
        'A,Two,routine,1,04-01,10-01',
        'A,Two,netting,,,',
        'B,One,routine,14,13-01,',
      ].join('\n'),
    )
    expect(plans.map((p) => [p.site, p.pond, p.lines.length])).toEqual([['A', 'One', 1]])
    expect(withEnglish(problems)).toEqual([
      { line: 3, message: expect.stringMatching(/^everyDays: The interval must be at least 3 days/) },
      { line: 5, message: expect.stringMatching(/^from: Enter month and day/) },
    ])
  })
  it('take the lines of a pond together wherever they stand in the file', () => {
    const { plans } = readServicePlansCsv(
      'site;pond;job;every_days;price\nA;One;routine;28;95,50\nA;Two;netting;;\nA;One;netting;;120',
    )
    expect(plans.map((p) => [p.pond, p.lines.map((l) => [l.job, l.priceMinor])])).toEqual([
      [
        'One',
        [
          ['routine', 9550],
          ['netting', 12000],
        ],
      ],
      ['Two', [['netting', null]]],
    ])
  })
  it('say which columns are missing', () =>
    expect(withEnglish(readServicePlansCsv('site,job\nA,routine').problems)).toEqual([
      { line: 1, message: expect.stringMatching(/lacks pond/) },
    ]))
})
