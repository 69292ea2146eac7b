import fc from 'fast-check'
import { leastSquares } from './least-squares'

describe('least squares', () => {
  // NIST Statistical Reference Datasets, nonlinear regression, Misra1a
  const x = [77.6, 114.9, 141.1, 190.8, 239.9, 289, 332.8, 378.4, 434.8, 477.3, 536.8, 593.1, 689.1, 760]
  const y = [10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02, 44.82, 50.76, 55.05, 61.01, 66.4, 75.47, 81.78]
  const misra = ([b1, b2]: readonly number[]) => x.map((v, i) => b1! * (1 - Math.exp(-b2! * 1e-4 * v)) - y[i]!)
  const wide = [
    [1, 2000],
    [0.01, 100],
  ] as const

  it.each([
    [500, 1],
    [250, 5],
  ])('finds the certified parameters from %f, %f', (b1, b2) => {
    const fit = leastSquares({ residuals: misra, start: [b1, b2], bounds: wide, maxSteps: 200 })
    expect(fit.status).toBe('converged')
    expect(fit.point[0]).toBeCloseTo(238.94212918, 2)
    expect(fit.point[1]).toBeCloseTo(5.5015643181, 4)
    expect(fit.sumOfSquares).toBeCloseTo(0.12455138894, 6)
  })
  it('stops at a bound that holds the best point off', () => {
    const fit = leastSquares({ residuals: ([a]) => [a! - 5], start: [0], bounds: [[-1, 2]] })
    expect(fit.point).toEqual([2])
  })
  it('says when it ran out of steps', () =>
    expect(leastSquares({ residuals: misra, start: [500, 1], bounds: wide, maxSteps: 1 }).status).toBe('max-steps'))
  it('refuses a start outside its bounds', () =>
    expect(() => leastSquares({ residuals: ([a]) => [a!], start: [3], bounds: [[0, 1]] })).toThrow('start.0'))
  it('solves straight lines exactly', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (slope, shift) => {
          const fit = leastSquares({
            residuals: ([a, b]) => [0, 1, 2, 3].map((t) => a! * t + b! - (slope * t + shift)),
            start: [0, 0],
            bounds: [
              [-10, 10],
              [-10, 10],
            ],
          })
          expect(fit.point[0]).toBeCloseTo(slope, 3)
          expect(fit.point[1]).toBeCloseTo(shift, 3)
        },
      ),
    ))
})
