import { trainUnit } from '../../../../tests/fixtures/train-unit'
import { outageRules } from './outage'
import { TRAIN_KINDS } from './train-unit'

const design = {
  type: 'lined-wetland' as const,
  pumpId: 'P1',
  suction: null,
  heatToC: null,
  train: [trainUnit('pressurised'), trainUnit('uv'), trainUnit('uv')],
}
const said = (of: Partial<typeof design> | object, wetShare = 1) =>
  outageRules({ ...design, ...of }, wetShare).map(({ part, act, afterH }) => `${part}: ${act} ${afterH}`)

describe('after a power cut', () => {
  it('what is done each time comes first, each kind once', () =>
    expect(said({})).toEqual(['uv: lamp-off 0', 'pressurised: drain-first-water 1', 'bed: drain-first-water 6']))
  it('a bed that dries is wetted within the hour', () => expect(said({ train: [] }, 0.2)).toEqual(['bed: wet-bed 1']))
  it('a dry-mounted pump is primed; a heater waits for the flow, placed or not', () => {
    expect(said({ train: [], suction: { diameterM: 0.057, lengthM: 2, liftM: 0, footValve: true } })[0]).toBe(
      'pump: prime-pump 0',
    )
    expect(said({ train: [], heatToC: 18 })[0]).toBe('heater: heater-off 0')
  })
  it('without bed, pump and train asks for nothing', () =>
    expect(
      said({
        type: 'none',
        pumpId: null,
        suction: { diameterM: 0.057, lengthM: 2, liftM: 0, footValve: true },
        train: [],
      }),
    ).toEqual([]))
  it('every kind with media or a lamp has something to say', () => {
    const parts = outageRules({ ...design, train: TRAIN_KINDS.map((kind) => trainUnit(kind)) }, 1).map((r) => r.part)
    for (const kind of ['static-bed', 'moving-bed', 'pressurised', 'trickle-tower', 'falls-box', 'uv'] as const)
      expect(parts).toContain(kind)
  })
})
