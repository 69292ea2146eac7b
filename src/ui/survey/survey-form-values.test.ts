import { ALWAYS_OPEN } from '@/domain/customers/customer'
import fc from 'fast-check'
import { pondInput } from '../../../tests/fixtures/pond-input'
import {
  EMPTY_SURVEY,
  EMPTY_VOLUME_TESTS,
  formPath,
  newPondBody,
  readSurvey,
  toFormValues,
  toPondInput,
} from './survey-form-values'

describe('the survey form', () => {
  it('gives back what it was filled from', () => {
    const offsets = {
      kind: 'offsets' as const,
      offsets: [
        { stationM: 0, leftM: 0, rightM: 1 },
        { stationM: 2, leftM: 2, rightM: 1 },
        { stationM: 4, leftM: 0, rightM: 0 },
      ],
    }
    for (const input of [pondInput(), pondInput({ outline: offsets }), pondInput({ meteredFillM3: 9.2, fish: [] })])
      expect(toPondInput(toFormValues(input))).toEqual(input)
  })
  it('gives back guests, a room and a way to the volume that was set aside', () => {
    const input = pondInput({
      guests: { publicFeedGPerD: 60, bathersPerD: 4, ducks: 2, turtles: 0 },
      roomTempC: 21,
      setAside: { method: 'metered-fill', reason: 'Wrong tap' },
    })
    expect(toFormValues(input).guests).toEqual({ publicFeedKg: 0.06, bathersPerD: 4, ducks: 2, turtles: null })
    expect(toPondInput(toFormValues(input))).toEqual(input)
  })
  it('round-trips any figures', () => {
    const figure = fc.double({ min: 0.3, max: 9, noNaN: true })
    fc.assert(
      fc.property(figure, figure, figure, (lengthM, widthM, depth) => {
        const input = pondInput({
          outline: { kind: 'ellipse', lengthM, widthM },
          zones: [{ name: 'A', floorDepthM: depth, surfaceShare: 1, sideSlope: 0 }],
        })
        const read = readSurvey(toFormValues(input))
        expect(read.success && read.data).toEqual(input)
      }),
    )
  })
  it('names every figure that is still missing', () => {
    const read = readSurvey(EMPTY_SURVEY)
    const paths = read.success ? [] : read.error.issues.map((i) => formPath(i.path.join('.'), EMPTY_SURVEY))
    expect(paths).toEqual(expect.arrayContaining(['name', 'lengthM', 'widthM', 'zones.0.floorDepthM', 'altitudeM']))
  })
  it('names the empty rise of a salt dilution, and a box beside a stream, at their own fields', () => {
    const values = {
      ...toFormValues(pondInput()),
      volumeTests: [EMPTY_VOLUME_TESTS['drain-down'], { method: 'salt-dilution' as const, saltKg: 5, rise: null }],
      streams: [{ lengthM: 3, widthM: 0.5, depthM: 0.1, fill: 0.7 }],
      boxes: [{ volumeM3: null }],
    }
    const read = readSurvey(values)
    const paths = read.success ? [] : read.error.issues.map((i) => formPath(i.path.join('.'), values))
    expect([...paths].sort()).toEqual(['boxes.0.volumeM3', 'volumeTests.1.rise'])
  })
  it('keeps several runs of one way to the volume', () => {
    const input = pondInput({
      volumeTests: [
        { method: 'salt-dilution', saltKg: 10, risePercent: 0.05 },
        { method: 'salt-dilution', saltKg: 10, risePercent: 0.053 },
        { method: 'timed-fill', containerM3: 0.02, seconds: 18, minutes: 290 },
      ],
    })
    const read = readSurvey(toFormValues(input))
    expect(read.success && read.data).toEqual(input)
  })
  it('treats an unreadable figure as missing, never as zero', () => {
    const read = readSurvey({ ...toFormValues(pondInput()), lengthM: Number.NaN })
    expect(!read.success && read.error.issues[0]!.path).toEqual(['outline', 'lengthM'])
  })
  it('drops lines of the offset table that were never filled in', () => {
    const values = {
      ...toFormValues(pondInput()),
      outlineKind: 'offsets' as const,
      offsets: [
        { stationM: 0, leftM: 1, rightM: 1 },
        { stationM: null, leftM: null, rightM: null },
        { stationM: 2, leftM: 1, rightM: 1 },
        { stationM: 4, leftM: 0, rightM: 0 },
      ],
    }
    const read = readSurvey(values)
    expect(read.success && read.data.outline.kind === 'offsets' && read.data.outline.offsets).toHaveLength(3)
  })
  it('sends a chosen customer by id and a new one whole', () => {
    const place = {
      customerId: 'new' as const,
      siteId: 'new' as const,
      customer: { name: 'A', email: '', phone: '' },
      site: { name: 'B', address: '', town: '', accessNotes: '', stationId: 'x', lat: null, lon: null, ...ALWAYS_OPEN },
    }
    expect(newPondBody(place, pondInput()).customer).toEqual({ kind: 'new', customer: place.customer })
    expect(newPondBody({ ...place, customerId: 'c' as never, siteId: 's' as never }, pondInput())).toMatchObject({
      customer: { kind: 'existing', id: 'c' },
      site: { kind: 'existing', id: 's' },
    })
  })
})
