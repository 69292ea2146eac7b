import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { addDays } from '@/core/numeric/calendar'
import type { FeedInput } from '@/domain/rounds/calendar-feed'
import { notFound } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { customerExists } from '@/server/customers/customer-repository'
import { insertFeed, listCalendarVisits, openFeed, revokeFeed } from '@/server/rounds/feed-repository'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findCrew } from '@/server/people/people-repository'
import { calendarText } from '@/server/rounds/calendar'
import { todayIn } from '@/server/platform/today'

/** A calendar looks back so far. */
const LOOK_BACK_DAYS = 90
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Makes a calendar link. @returns its secret, which is stored nowhere else */
export async function makeFeed(actor: Actor, input: FeedInput): Promise<{ id: string; token: string }> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const crewId = input.scope === 'crew' ? input.crewId : null
    const customerId = input.scope === 'customer' ? input.customerId : null
    if (crewId && !(await findCrew(trx, crewId))) throw notFound('crew')
    if (customerId && !(await customerExists(trx, customerId))) throw notFound('customer')
    const [id, token] = [randomUUID(), randomBytes(24).toString('base64url')]
    await insertFeed(trx, actor.firmId, {
      id,
      tokenHash: hashOf(token),
      scope: input.scope,
      crewId,
      customerId,
      madeBy: actor.userId,
    })
    return { id, token }
  })
}

/** From now on the link opens nothing. */
export async function endFeed(actor: Actor, id: string): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await revokeFeed(trx, id))) throw notFound('calendarLink')
  })
}

/** The calendar behind a link; the link is all it takes. @throws {ProblemError} unknown or revoked */
export async function calendarOf(token: string): Promise<string> {
  const feed = await openFeed(hashOf(token))
  if (!feed) throw notFound('calendar')
  return inFirm(feed.firmId, async (trx) => {
    const firm = await findFirm(trx)
    const visits = await listCalendarVisits(trx, {
      from: addDays(todayIn(firm.timeZone), -LOOK_BACK_DAYS),
      crewId: feed.crewId,
      customerId: feed.customerId,
    })
    const name = feed.scope === 'crew' ? ((await findCrew(trx, feed.crewId!))?.name ?? firm.name) : firm.name
    return calendarText(
      name,
      firm.timeZone,
      visits.map((v) =>
        // a customer sees when and what, nothing of how the firm works
        feed.scope === 'customer'
          ? { ...v, title: `${firm.name}: ${v.jobName}`, details: `${v.jobName} at ${v.siteName}` }
          : {
              ...v,
              title: feed.scope === 'firm' ? `${v.crewName}: ${v.title}` : v.title,
              details: [v.details, v.accessNotes, v.phone].filter(Boolean).join('\n'),
            },
      ),
    )
  })
}
