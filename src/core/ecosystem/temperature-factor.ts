/**
 * Rates at a temperature by θ^(T − 20), written as exp(ln θ·(T − 20)): a power is several times dearer, and this runs
 * every step.
 */
export class TemperatureFactor {
  private readonly logTheta: number

  constructor(theta: number) {
    this.logTheta = Math.log(theta)
  }

  at(waterC: number): number {
    return Math.exp(this.logTheta * (waterC - 20))
  }
}
