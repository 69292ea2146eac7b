import { heating } from './heater'

const year = [2, 3, 6, 10, 14, 18, 20, 20, 16, 11, 6, 3]

describe('heating a pond', () => {
  it('asks for surface × exchange × difference in the coldest month, and half as much again', () => {
    // 20 W/m²K × 30 m² × (8 − 2) K = 3.6 kW
    expect(heating({ areaM2: 30, monthlyTempC: year }, 8).sizeKw).toBeCloseTo(5.4, 9)
  })
  it('takes no energy in months that are warm enough by themselves', () => {
    const { byMonthKWh, kWhPerYear } = heating({ areaM2: 30, monthlyTempC: year }, 8)
    expect(byMonthKWh[6]).toBe(0)
    expect(kWhPerYear).toBeCloseTo(
      byMonthKWh.reduce((a, b) => a + b, 0),
      9,
    )
    expect(heating({ areaM2: 30, monthlyTempC: [...year].fill(20) }, 8).kWhPerYear).toBe(0)
  })
  it('sends enough water past it that no pass warms more than 4 K', () => {
    const { sizeKw, flowM3PerH } = heating({ areaM2: 30, monthlyTempC: year }, 10)
    expect(sizeKw / (flowM3PerH * 1.163)).toBeCloseTo(4, 9)
  })
  it('refuses a temperature that is not one for a pond', () =>
    expect(() => heating({ areaM2: 1, monthlyTempC: year }, Number.NaN)).toThrow(/heatToC/))
})
