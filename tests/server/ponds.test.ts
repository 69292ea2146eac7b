import { closeDatabase } from '@/server/platform/db/connection'
import { addPond, changePond, pondForEdit, pondList } from '@/server/ponds/ponds'
import { designPage, saveDesign } from '@/server/design/designs'
import { todayIn } from '@/server/platform/today'
import { logLevel } from '@/server/survey/water-loss'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { pondInput } from '../fixtures/pond-input'
import { problemOf } from '../fixtures/problem-of'

afterAll(closeDatabase)

describe('ponds', () => {
  it('keeps a survey whole and works out volume and season', async () => {
    const { actors } = await makeFirm('Elder')
    const input = pondInput({ meteredFillM3: 13.2 })
    const id = await addPond(actors.owner, { ...newPond(), pond: input })
    const { pond, season } = await pondOnFile(actors.technician, id)
    expect(pond).toMatchObject(input)
    expect(season!.windows.map((w) => w.job)).toContain('spring-cleanout')
    const [line] = await pondList(actors.office)
    // survey says 13.5 ± 6 %, the meter 13.2 ± 2 %: the meter weighs nine times as much
    expect(line!.volumeM3).toBeGreaterThan(13.2)
    expect(line!.volumeM3).toBeLessThan(13.26)
  })
  it.each([
    [
      'an outline that crosses itself',
      {
        outline: {
          kind: 'offsets',
          offsets: [
            { stationM: 0, leftM: 1, rightM: 1 },
            { stationM: 2, leftM: 0, rightM: 0 },
            { stationM: 4, leftM: 1, rightM: 1 },
          ],
        },
      },
      'pond.outline',
      'crosses itself 2.00 m along the tape',
    ],
    [
      'a slope that closes the pond',
      { zones: [{ name: 'Bowl', floorDepthM: 2, surfaceShare: 1, sideSlope: 2 }] },
      'pond.zones.0.sideSlope',
      'meet at about 0.7',
    ],
    [
      'a pond of about a litre',
      {
        outline: { kind: 'rectangle', lengthM: 0.2, widthM: 0.2 },
        zones: [{ name: 'Cup', floorDepthM: 0.05, surfaceShare: 1, sideSlope: 0 }],
        rockShare: 0,
      },
      'pond.outline',
      '2.0 litres',
    ],
    [
      'a pond of 100,000 m³',
      {
        outline: { kind: 'rectangle', lengthM: 200, widthM: 100 },
        zones: [{ name: 'Lake', floorDepthM: 5, surfaceShare: 1, sideSlope: 0 }],
        rockShare: 0,
      },
      'pond.outline',
      '100000 m³',
    ],
  ])('refuses %s, naming the field', async (_, changes, path, words) => {
    const { actors } = await makeFirm('Fir')
    const problem = await problemOf(addPond(actors.owner, newPond(changes as never)))
    expect(problem.kind === 'bad-input' && problem.fields![0]!.path).toBe(path)
    expect(problem.message).toContain(words)
  })
  it('shows both when two people change one pond', async () => {
    const { actors } = await makeFirm('Gorse')
    const id = await addPond(actors.owner, newPond())
    const seen = await pondForEdit(actors.designer, id)
    await changePond(actors.office, id, seen.version, pondInput({ notes: 'from the office' }))
    const problem = await problemOf(
      changePond(actors.designer, id, seen.version, pondInput({ notes: 'from the bench' })),
    )
    expect(problem).toMatchObject({
      kind: 'conflict',
      current: { notes: 'from the office', version: seen.version + 1 },
    })
    expect((await pondForEdit(actors.designer, id)).notes).toBe('from the office')
  })
  it('works the season out again when the survey changes', async () => {
    const { actors } = await makeFirm('Hazel')
    const id = await addPond(actors.owner, newPond({ altitudeM: 10 }))
    const before = (await pondOnFile(actors.owner, id)).season!.monthlyMedianC
    await changePond(actors.owner, id, 1, pondInput({ altitudeM: 900 }))
    const after = (await pondOnFile(actors.owner, id)).season!.monthlyMedianC
    expect(after[6]).toBeLessThan(before[6]! - 2)
  })
  it('lets only desks write', async () => {
    const { actors } = await makeFirm('Ivy')
    expect((await problemOf(addPond(actors.technician, newPond()))).kind).toBe('forbidden')
    expect((await problemOf(addPond(actors['crew-lead'], newPond()))).kind).toBe('forbidden')
  })
})

describe('designs', () => {
  it('are kept as numbered versions, worked out by the server', async () => {
    const { actors } = await makeFirm('Juniper')
    const id = await addPond(actors.owner, newPond())
    const { start } = await designPage(actors.designer, id)
    expect(await saveDesign(actors.designer, id, { name: 'One', bed: start, overrideReason: '' })).toMatchObject({
      number: 1,
    })
    expect(
      await saveDesign(actors.designer, id, {
        name: 'Two',
        bed: { ...start, lengthM: start.lengthM + 1 },
        overrideReason: '',
      }),
    ).toMatchObject({
      number: 2,
    })
    const { designs } = await designPage(actors.designer, id)
    expect(designs.map((d) => d.name)).toEqual(['Two', 'One'])
    expect(designs[0]!.areaM2).toBeCloseTo((start.lengthM + 1) * start.widthM, 9)
  })
  it('need a reason for another school than the house’s', async () => {
    const { actors } = await makeFirm('Larch')
    const id = await addPond(actors.owner, newPond())
    const { start } = await designPage(actors.designer, id)
    const other = { name: 'Small', bed: { ...start, sizingMethod: 'nitrogen' as const }, overrideReason: '' }
    const problem = await problemOf(saveDesign(actors.designer, id, other))
    expect(problem.kind === 'bad-input' && problem.fields![0]!.path).toBe('overrideReason')
    await expect(
      saveDesign(actors.designer, id, { ...other, overrideReason: 'Very few fish and a skimmer beside it' }),
    ).resolves.toMatchObject({ number: 1 })
  })
})

describe('losing water', () => {
  it('keeps level logs and says where to look', async () => {
    const { actors } = await makeFirm('Reedmace')
    const id = await addPond(actors.owner, newPond())
    expect((await pondOnFile(actors.technician, id)).waterLoss!.balance.advice).toBe('no-logs')
    const today = todayIn('Etc/UTC')
    const log = { day: today, hours: 24, bucketDropMm: 2, pumpOn: true, addedM3: 0 }
    await logLevel(actors.technician, id, { ...log, dropMm: 30 })
    await logLevel(actors['crew-lead'], id, { ...log, dropMm: 2, pumpOn: false })
    const { waterLoss } = await pondOnFile(actors.office, id)
    expect(waterLoss!.balance.advice).toBe('moving-water')
    expect(waterLoss!.logs).toHaveLength(2)
    // what was added between the looks was lost as well
    await logLevel(actors.technician, id, { ...log, dropMm: 2, pumpOn: false, addedM3: 1 })
    expect((await pondOnFile(actors.office, id)).waterLoss!.balance.off!.measuredMmPerD).toBeGreaterThan(5)
    expect((await problemOf(logLevel(actors.designer, id, { ...log, dropMm: 1 }))).kind).toBe('forbidden')
    expect((await problemOf(logLevel(actors.owner, id, { ...log, dropMm: 1, day: '2999-01-01' }))).kind).toBe(
      'bad-input',
    )
  })
})
