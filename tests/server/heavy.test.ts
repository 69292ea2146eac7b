import { vrptwText } from '../fixtures/vrptw-instance'
import { addDays } from '@/core/numeric/calendar'
import { endHeavy, heavy } from '@/server/platform/threads/heavy'
import { sourceProgram } from '@/server/platform/threads/programs'
import { PoolFull, TaskFailed, ThreadPool, TookTooLong } from '@/server/platform/threads/thread-pool'
import { problemOf } from '../fixtures/problem-of'

afterAll(endHeavy)

/** Longest time that this thread was kept from answering while some work was under way, ms. */
async function longestStop(work: Promise<unknown>): Promise<number> {
  let longest = 0
  let last = performance.now()
  const beat = setInterval(() => {
    const now = performance.now()
    longest = Math.max(longest, now - last - 10)
    last = now
  }, 10)
  await work.catch(() => undefined)
  clearInterval(beat)
  return longest
}

describe('what a request asks to be worked out', () => {
  it('is worked out beside the thread that answers everybody', async () => {
    expect(await heavy('calculate', { name: 'water.doSaturation', input: { temp_C: 20 } })).toMatchObject({
      ok: true,
      output: { do_sat_mg_L: expect.closeTo(9.09, 1) },
    })
  })
  it('for seconds of its own choice is refused: 600 s of routing stopped every page', async () => {
    const outcome = await heavy('calculate', {
      name: 'route.vrptw',
      input: { text: vrptwText('random', 3, 12), seconds: 600, seed: 1 },
    })
    expect(outcome).toMatchObject({ ok: false, error: { code: 'bad-input', path: 'seconds' } })
    const without = await heavy('calculate', {
      name: 'route.vrptw',
      input: { text: vrptwText('random', 3, 12), seed: 1 },
    })
    expect(without).toMatchObject({ ok: true })
  })
  // bars hold on a machine that other tests keep busy: work on the answering thread would stop it for minutes
  it.each<[string, string, object]>([
    ['a pipe network for 800,000 hours', 'hydraulics.network', { inp: NETWORK_FOR_EVER() }],
    ['rounds of ten million steps', 'plan.rounds', MANY_ROUNDS()],
  ])('takes its time and no more, and keeps nobody waiting: %s', async (_, name, input) => {
    const began = performance.now()
    const work = heavy('calculate', { name, input })
    const stop = await longestStop(work)
    expect(stop).toBeLessThan(1500)
    const outcome = await work.catch(() => null)
    if (outcome === null) expect((await problemOf(heavy('calculate', { name, input }))).kind).toBe('bad-input')
    expect(performance.now() - began).toBeLessThan(25_000)
  })
  it('a calendar that repeats every second since 1970 is read in time, one of daily since 1990 up to today', async () => {
    const event = (rule: string, start: string) =>
      `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:a\r\nSUMMARY:Busy\r\nDTSTART:${start}\r\nDTEND:${start.replace('T08', 'T09')}\r\nRRULE:${rule}\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`
    const from = '2027-03-01'
    const read = (text: string) => heavy('busy-times', { text, from, to: addDays(from, 30), timeZone: 'Etc/UTC' })
    const began = performance.now()
    await read(event('FREQ=SECONDLY', '19700101T080000Z')).catch(() => undefined)
    expect(performance.now() - began).toBeLessThan(10_000)
    const daily = await read(event('FREQ=DAILY', '19900101T080000Z'))
    expect(daily.busy).toHaveLength(31)
    expect(daily.busy[0]).toMatchObject({ day: from, startMin: 480, endMin: 540 })
  })
  it('an event of a thousand years takes only the days that were asked for', async () => {
    const text =
      'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:a\r\nSUMMARY:Long\r\nDTSTART;VALUE=DATE:15000101\r\nDTEND;VALUE=DATE:25000101\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n'
    expect(
      (await heavy('busy-times', { text, from: '2027-03-01', to: '2027-03-07', timeZone: 'Etc/UTC' })).busy,
    ).toHaveLength(7)
  })
  it('half a million commas for a weather file keep nobody waiting', async () => {
    const stop = await longestStop(
      heavy('weather-csv', { text: `date,min,max\n${','.repeat(500_000)}`, today: '2027-03-01' }),
    )
    expect(stop).toBeLessThan(1500)
  })
})

describe('a pool of threads', () => {
  const program = sourceProgram('tests/fixtures/odd-thread.ts')
  const pool = new ThreadPool<string, string>({ size: 1, deadlineMs: 400, maxWaiting: 2, program })
  afterAll(() => pool.end())
  it('replaces one that hangs, dies or fails, and goes on', async () => {
    await expect(pool.run('fail')).rejects.toThrow(new TaskFailed('no such pond'))
    expect(await pool.run('a')).toBe('a')
    await expect(pool.run('hang')).rejects.toThrow(TookTooLong)
    await expect(pool.run('die')).rejects.toThrow(TaskFailed)
    expect(await pool.run('b')).toBe('b')
  }, 30_000)
  it('whose threads cannot even begin says so to who waits', async () => {
    const broken = new ThreadPool<string, string>({ size: 1, program: sourceProgram('tests/fixtures/no-thread.ts') })
    await expect(broken.run('a')).rejects.toThrow(TaskFailed)
    await broken.end()
  }, 30_000)
  it('gives each task its whole time, however long it waited for its turn', async () => {
    const work = [pool.run('hang'), pool.run('half'), pool.run('half')].map((p) => p.catch((error: Error) => error))
    expect(await work[0]).toBeInstanceOf(TookTooLong)
    expect(await Promise.all(work.slice(1))).toEqual(['half', 'half'])
  }, 30_000)
  it('turns away what would wait too long', async () => {
    const work = [pool.run('hang'), pool.run('a'), pool.run('b'), pool.run('c')].map((p) =>
      p.catch((error: Error) => error),
    )
    expect(await work[3]).toBeInstanceOf(PoolFull)
    await Promise.all(work)
  }, 30_000)
})

function NETWORK_FOR_EVER(): string {
  return '[JUNCTIONS]\n J 0 1\n[RESERVOIRS]\n R 10\n[PIPES]\n P R J 100 50 100 0 Open\n[TIMES]\n Duration 800000\n Hydraulic Timestep 0:01\n[OPTIONS]\n Units CMH\n Headloss H-W\n[END]\n'
}

function MANY_ROUNDS() {
  const visit = (i: number) => ({
    id: `v${i}`,
    location: 1,
    hands_min: 10,
    fixed_min: 5,
    earliest: '2027-03-01',
    latest: '2027-03-12',
  })
  return {
    crews: [
      {
        id: 'a',
        size: 1,
        skills: [],
        kit: [],
        depot: 0,
        start_min: 480,
        end_min: 1020,
        break_min: 0,
        capacity: 100,
        daysOff: [],
      },
    ],
    visits: Array.from({ length: 80 }, (_, i) => visit(i)),
    days: ['2027-03-01', '2027-03-02', '2027-03-03'],
    travel: {
      minutes: [
        [0, 5],
        [5, 0],
      ],
    },
    iterations: 10_000_000,
    seed: 1,
  }
}
