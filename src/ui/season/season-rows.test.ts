import { textsIn } from '@/messages/texts'
import { seasonRow, seasonVisit } from '../../../tests/fixtures/season-row'
import { holds, linesOf, sortRows, standingOf } from './season-rows'

const TODAY = '2027-04-10'
const standing = (over: Parameters<typeof seasonRow>[0], today = TODAY) =>
  standingOf(seasonRow(over), 'spring-cleanout', today)

const NONE = new Map<string, never>()

describe('how a job stands at a pond', () => {
  it('is done, planned, open while its window lasts, missed after it', () => {
    expect(standing({ id: 'a', visits: [seasonVisit({ id: 'v', state: 'done' })] })).toBe('done')
    expect(standing({ id: 'a', visits: [seasonVisit({ id: 'v' })] })).toBe('planned')
    expect(standing({ id: 'a' })).toBe('open')
    expect(standing({ id: 'a' }, '2027-04-26')).toBe('missed')
    expect(standing({ id: 'a' }, '2027-04-25')).toBe('open')
  })
  it('asks for nothing that was not agreed', () =>
    expect(standing({ id: 'a', agreed: false }, '2027-12-01')).toBe('all'))
  it('counts a visit up to sixty days from the window, of that kind only', () => {
    const on = (day: string, jobKey = 'spring-cleanout') =>
      standing({ id: 'a', visits: [seasonVisit({ id: 'v', day, jobKey })] })
    expect(on('2027-06-24')).toBe('planned')
    expect(on('2027-06-25')).toBe('open')
    expect(on('2027-01-19')).toBe('planned')
    expect(on('2027-01-18')).toBe('open')
    expect(on('2027-04-06', 'netting')).toBe('open')
  })
})

describe('the rows', () => {
  const rows = [
    seasonRow({ id: 'b', siteName: 'Brook', town: 'Sallow', weeklyC: [4, 19], window: null }),
    seasonRow({ id: 'a', siteName: 'Alder', town: 'Withy', weeklyC: [3, 24] }),
    seasonRow({
      id: 'c',
      siteName: 'Cress',
      town: 'Sallow',
      window: { earliest: '2027-03-01', best: '2027-03-02', latest: '2027-03-03' },
    }),
  ]
  const ids = (sorted: readonly { id: string }[]) => sorted.map((r) => r.id).join('')
  it('go by site, by window with none last, by town, by warmth with unknown last', () => {
    expect(ids(sortRows(rows, 'site'))).toBe('abc')
    expect(ids(sortRows(rows, 'window'))).toBe('cab')
    expect(ids(sortRows(rows, 'town'))).toBe('bca')
    expect(ids(sortRows(rows, 'warmth'))).toBe('abc')
    expect(ids(rows)).toBe('bac')
  })
  it('are found by site, pond, town and customer, whatever the case', () => {
    const row = seasonRow({ id: 'x' })
    for (const text of ['', 'lark h', 'POOL', 'ferry', 'reev']) expect(holds(row, text)).toBe(true)
    expect(holds(row, 'heron')).toBe(false)
  })
  it('stand under their towns, a pond of no town under a heading that says so', () => {
    const lines = linesOf([...rows, seasonRow({ id: 'd', town: '' })], { grouped: true, unfolded: NONE }, textsIn('en'))
    const groups = lines.flatMap((l) => (l.kind === 'group' ? [[l.name, l.count]] : []))
    expect(groups).toEqual([
      ['No town', 1],
      ['Sallow', 2],
      ['Withy', 1],
    ])
    expect(linesOf(rows, { grouped: false, unfolded: NONE }, textsIn('en')).every((l) => l.kind === 'row')).toBe(true)
  })
  it('unfold into a lane for each type of visits: by the year, then those without a window', () => {
    const row = seasonRow({
      id: 'x',
      visits: [
        seasonVisit({ id: 'v1' }),
        seasonVisit({ id: 'v2', jobKey: 'winter-check', jobName: 'Winter check', day: '2027-01-10' }),
      ],
    })
    const other = seasonRow({ id: 'y' })
    const window = (job: 'spring-cleanout' | 'bacteria', earliest: string) => ({
      job,
      kind: 'span' as const,
      earliest,
      best: earliest,
      latest: '2027-05-30',
      why: { waterC: 8, minAirC: 1, likelihood: 0.9, median: 90 },
    })
    const unfolded = new Map([['x', [window('bacteria', '2027-05-01'), window('spring-cleanout', '2027-03-20')]]])
    const lines = linesOf([row, other], { grouped: false, unfolded }, textsIn('en'))
    expect(lines.map((l) => (l.kind === 'lane' ? [l.lane.job, l.lane.visits.map((v) => v.id)] : l.kind))).toEqual([
      'row',
      ['spring-cleanout', ['v1']],
      ['bacteria', []],
      ['winter-check', ['v2']],
      'row',
    ])
  })
})
