import { readSenml } from './senml'

const NOW = 1_800_000_000
const POND = '0b7c2f5e-0000-4000-8000-000000000001'

describe('a SenML pack', () => {
  it('carries base names, units and times on, as RFC 8428 has it', () => {
    const outcomes = readSenml(
      [
        { bn: `${POND}/`, bt: NOW, bu: 'Cel', n: 'waterTemp', v: 12.5 },
        { n: 'waterTemp', t: -60, v: 12.4 },
        { n: 'ph', u: 'pH', v: 7.8 },
      ],
      NOW + 5,
    )
    expect(outcomes.map((o) => (o.ok ? [o.reading.kind, o.reading.value, o.reading.atS] : o.message))).toEqual([
      ['waterTemp', 12.5, NOW],
      ['waterTemp', 12.4, NOW - 60],
      ['ph', 7.8, NOW],
    ])
  })
  it('counts small times from now, adds base values, and converts units', () => {
    const [temp, oxygen, level] = readSenml(
      [
        { n: `${POND}/waterTemp`, u: 'K', v: 285.15, t: -30 },
        { n: `${POND}/dissolvedOxygen`, u: 'kg/m3', v: 0.0084 },
        { n: `${POND}/clarityDepth`, u: 'cm', bv: 10, v: 45 },
      ],
      NOW,
    )
    expect(temp).toMatchObject({ ok: true, reading: { value: expect.closeTo(12, 9), atS: NOW - 30 } })
    expect(oxygen).toMatchObject({ reading: { value: expect.closeTo(8.4, 9) } })
    expect(level).toMatchObject({ reading: { value: expect.closeTo(0.55, 9) } })
  })
  it.each([
    ['a name that is no pond’s', { n: 'waterTemp', u: 'Cel', v: 1 }, 'is not a pond'],
    ['a kind that nobody knows', { n: `${POND}/mood`, u: 'Cel', v: 1 }, 'is not a pond'],
    ['no number', { n: `${POND}/ph`, u: 'pH' }, 'no number'],
    ['a number that is none', { n: `${POND}/ph`, u: 'pH', v: Number.NaN }, 'no number'],
    ['a unit of something else', { n: `${POND}/ph`, u: 'Cel', v: 7 }, 'use pH'],
  ])('refuses %s and says why', (_, record, message) =>
    expect(readSenml([record], NOW)[0]).toMatchObject({ ok: false, message: expect.stringContaining(message) }),
  )
})
