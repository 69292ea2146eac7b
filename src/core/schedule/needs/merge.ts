import { VISIT_PLANNING } from '../../visits/types'
import { daysBetween } from '../../numeric/calendar'
import { earlier, later, type Need } from './pond-work'

/** Two jobs share a visit only when that leaves the planner this many days to choose from. */
const MIN_DAYS_TOGETHER = 3

/**
 * Puts agreed jobs of one pond that fall due together into one visit, where their kinds go together: less driving,
 * one call to the customer.
 */
export function mergeNeeds(needs: readonly Need[]): Need[] {
  const merged = [...needs]
  const gone = new Map<string, string>()
  for (const [i, host] of merged.entries()) {
    if (gone.has(host.id)) continue
    for (const job of VISIT_PLANNING[host.job]!.takesAlong) {
      const now = merged[i]!
      const guest = merged.find(
        (g) => g.job === job && g.id !== host.id && !gone.has(g.id) && g.also.length === 0 && together(now, g),
      )
      if (!guest) continue
      const [earliest, latest] = [later(now.earliest, guest.earliest), earlier(now.latest, guest.latest)]
      merged[i]! = {
        ...now,
        earliest,
        latest,
        best: earlier(later(now.best, earliest), latest),
        also: [...now.also, job],
        after: [...now.after, ...guest.after],
      }
      gone.set(guest.id, host.id)
    }
  }
  // what waited for a merged job waits for the visit that does it
  return merged
    .filter((need) => !gone.has(need.id))
    .map((need) => ({
      ...need,
      after: need.after
        .map((a) => ({ ...a, need: gone.get(a.need) ?? a.need }))
        .filter((a, i, all) => a.need !== need.id && all.findIndex((b) => b.need === a.need) === i),
    }))
}

const together = (a: Need, b: Need): boolean =>
  daysBetween(later(a.earliest, b.earliest), earlier(a.latest, b.latest)) >= MIN_DAYS_TOGETHER
