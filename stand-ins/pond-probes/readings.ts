import { seededRandom, normalDeviate } from '../../src/core/numeric/random'

const QUARTER_S = 900
const DAY_S = 86_400

interface ProbeRecord {
  readonly bn?: string
  readonly n: string
  readonly u: string
  readonly v: number
  readonly t: number
}

/**
 * What probes in some ponds would have shown each quarter of an hour until now: temperature and oxygen with the sun
 * in them, as SenML.
 */
export function readingsOf(ponds: readonly string[], nowS: number, hours: number, shuffled: boolean): ProbeRecord[] {
  const last = Math.floor(nowS / QUARTER_S) * QUARTER_S
  const count = Math.max(1, Math.round((hours * 3600) / QUARTER_S))
  const records = ponds.flatMap((pond, p) =>
    Array.from({ length: count }, (_, i): ProbeRecord[] => {
      const t = last - i * QUARTER_S
      // the same moment shows the same, whenever it is asked for
      const random = seededRandom(Math.round(t / QUARTER_S) * 31 + p)
      const sun = Math.cos((2 * Math.PI * ((t % DAY_S) - 15 * 3600)) / DAY_S)
      const year = Math.cos((2 * Math.PI * (t / DAY_S - 200)) / 365)
      const waterC = 11 + 8 * year + 0.8 * sun + 0.05 * normalDeviate(random)
      const oxygen = 10.5 - 0.18 * waterC + 0.9 * sun + 0.05 * normalDeviate(random)
      return [
        { n: `${pond}/waterTemp`, u: 'Cel', v: Number(Math.max(0.2, waterC).toFixed(2)), t },
        { n: `${pond}/dissolvedOxygen`, u: 'mg/l', v: Number(oxygen.toFixed(2)), t },
      ]
    }).flat(),
  )
  if (!shuffled) return records
  const random = seededRandom(Math.round(nowS))
  return records
    .map((record) => ({ record, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ record }) => record)
}
