import type { Rest } from '../../core/visits/equipment-care'
import type { HouseRules } from '../house-rules/house-rules'

interface JobDate {
  readonly job: string
  readonly best: string
}

/**
 * The part of the year in which a pond's lamps are off, where their age is counted by running time: from the shutdown
 * to the startup.
 */
export function lampRest({ lamp, winter }: HouseRules, windows: readonly JobDate[]): Rest | null {
  if (lamp !== 'running' || winter !== 'shutdown') return null
  const on = (job: string) => windows.find((w) => w.job === job)?.best.slice(5)
  const [from, to] = [on('winter-shutdown'), on('spring-startup')]
  return from && to ? { from, to } : null
}
