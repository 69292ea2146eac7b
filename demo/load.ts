import { firmTexts } from '../src/messages/texts'
import { hasFirms } from '../src/server/platform/auth/has-firms'
import { closeDatabase } from '../src/server/platform/db/connection'
import { closeQueue } from '../src/server/platform/queue/queue'
import { todayIn } from '../src/server/platform/today'
import { inOtherProcess, isPart } from './living/in-other-process'
import { buildAtStories, firmAtWork } from './living/firm-at-work'
import { ordinaryCustomers } from './living/ordinary-customers'
import { LIVING_PEOPLE } from './living/people'
import { DEMO_PASSWORD, FIRM, PEOPLE } from './people'
import { firmOwner, foundFirm, planToday, tellStories } from './stories'

/** Browser tests take the stories alone: the same few ponds on every day of the year. */
const STORIES_ONLY = process.env.DEMO_STORIES_ONLY === '1'
/** Nets lie on ponds in these months. */
const NET_MONTHS = ['10', '11', '12', '01']

async function load(now: Date): Promise<void> {
  const today = todayIn(FIRM.timeZone, now)
  await foundFirm()
  // two halves of the work that do not touch each other
  const ordinary = STORIES_ONLY ? null : inOtherProcess('ordinary-customers')
  const owner = await firmOwner()
  const firm = await tellStories(owner, today, STORIES_ONLY || NET_MONTHS.includes(today.slice(5, 7)))
  if (!ordinary) return planToday(firm, today)
  await buildAtStories(firm, today)
  await ordinary
  await firmAtWork(owner, now)
}

function signIns(): string {
  const people = STORIES_ONLY ? PEOPLE : [...PEOPLE, ...LIVING_PEOPLE]
  const width = Math.max(...people.map((p) => p.email.length))
  const roleOf = firmTexts()
  const lines = people.map(
    ({ email, role, crew }) =>
      `  ${email.padEnd(width)}  ${roleOf(`people.roleNames.${role}`)}${crew ? `, crew ${crew}` : ''}`,
  )
  return `Sign in as any of these; the password is  ${DEMO_PASSWORD}\n${lines.join('\n')}\n`
}

if (isPart('ordinary-customers')) await ordinaryCustomers(await firmOwner(), todayIn(FIRM.timeZone))
else {
  if (!(await hasFirms())) await load(new Date())
  process.stdout.write(signIns())
}
await closeQueue()
await closeDatabase()
