import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { firmTexts } from '@/messages/texts'
import { addDays } from '@/core/numeric/calendar'
import type { FirmId, VisitId } from '@/domain/shared/ids'
import { dayAndTime, fillTemplate, noticeDue, type NoticeKind, type NoticeTemplates } from '@/domain/messages/notice'
import { longDate } from '@/domain/shared/dates'
import { reportLetter } from '@/messages/visits/report-message'
import { notFound, refused } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listCustomerLinks } from '@/server/customers/customer-link-repository'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import {
  claimNotice,
  endNotice,
  findTemplates,
  insertNotice,
  listNotices,
  listVisitsWithNotices,
  requeueNotice,
  storeTemplates,
  type NoticeVisit,
} from '@/server/messages/notice-repository'
import { findVisit } from '@/server/visits/visit-repository'
import { mailGateway } from '@/server/platform/gateways/mail'
import { lostRows } from '@/server/platform/queue/lost'
import { sendJobIn } from '@/server/platform/queue/queue'
import { reportOf } from '@/server/visits/report'
import { todayIn } from '@/server/platform/today'
import { said } from '@/domain/shared/said'

const LATEST = 100
/** Visits this far ahead are offered for telling first. */
const LOOK_AHEAD_DAYS = 42

/** Reports of visits are offered for so many days; older ones stand on the customer's page. */
const REPORT_DAYS = 14

/** A plan that was never carried out is nothing to tell of. */
const dueNow = (visit: NoticeVisit, today: string): NoticeKind | null =>
  visit.day >= today || visit.state === 'done' ? noticeDue(visit, visit.notified) : null

/** Who has to be told what, and what was sent lately. */
export async function noticeBoard(actor: Actor) {
  assertMay(actor, 'visits.plan')
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const visits = await listVisitsWithNotices(trx, addDays(today, -REPORT_DAYS))
    const due = visits.flatMap((visit) => {
      const kind = dueNow(visit, today)
      return kind ? [{ ...visit, kind }] : []
    })
    return {
      today,
      nowMs: Date.now(),
      soonUntil: addDays(today, LOOK_AHEAD_DAYS),
      due,
      sent: await listNotices(trx, LATEST),
      ...(await findTemplates(trx)),
    }
  })
}
export type MessagesData = Awaited<ReturnType<typeof noticeBoard>>

/**
 * Puts letters for chosen visits into the queue; visits whose customers know already are passed over.
 * @param baseUrl address of the app as customers reach it, for the link to their own page
 */
export async function tellCustomers(
  actor: Actor,
  visitIds: readonly VisitId[],
  baseUrl: string,
): Promise<{ queued: number; withoutAddress: number }> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    // two people may press at once: the second finds nothing left to tell
    await trx('visits').whereIn('id', visitIds).orderBy('id').forUpdate().select('id')
    const today = todayIn(actor.timeZone)
    const visits = await listVisitsWithNotices(trx, addDays(today, -REPORT_DAYS), visitIds)
    const links = await listCustomerLinks(trx)
    let [queued, withoutAddress] = [0, 0]
    for (const visit of visits) {
      const kind = dueNow(visit, today)
      if (!kind) continue
      if (visit.email === '') withoutAddress++
      else {
        const noticeId = await makeNotice(trx, actor, visit, kind, {
          time: visit.startTime,
          page: pageOf(links.get(visit.customerId), baseUrl),
        })
        await sendJobIn(trx, 'send-notice', { firmId: actor.firmId, noticeId })
        queued++
      }
    }
    return { queued, withoutAddress }
  })
}

/**
 * Notes that customers were told in another way, by telephone or at the gate; those who know already are passed over.
 */
export async function markNotified(actor: Actor, visitIds: readonly VisitId[]): Promise<{ notified: number }> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    await trx('visits').whereIn('id', visitIds).orderBy('id').forUpdate().select('id')
    const today = todayIn(actor.timeZone)
    let notified = 0
    for (const visit of await listVisitsWithNotices(trx, addDays(today, -REPORT_DAYS), visitIds)) {
      const kind = dueNow(visit, today)
      if (!kind) continue
      await makeNotice(trx, actor, visit, kind, { time: visit.startTime, page: null }, 'notified')
      notified++
    }
    return { notified }
  })
}

/** Tells one customer that the crew is on the way, or late, with the time it is expected. */
export async function tellArrival(
  actor: Actor,
  visitId: VisitId,
  kind: 'on-the-way' | 'running-late',
  time: string,
): Promise<void> {
  assertMay(actor, 'visits.log')
  await inFirm(actor.firmId, async (trx) => {
    const [visit] = await listVisitsWithNotices(trx, addDays(todayIn(actor.timeZone), -1), [visitId])
    if (!visit) throw notFound('visit')
    if (visit.state !== 'planned') throw refused(said('messages.problems.visitBegunOverNothingTell'))
    if (visit.email === '')
      throw refused(said('messages.problems.eMailAddressFileCall', { customerName: visit.customerName }))
    const noticeId = await makeNotice(trx, actor, visit, kind, { time, page: null })
    await sendJobIn(trx, 'send-notice', { firmId: actor.firmId, noticeId })
  })
}

const pageOf = (token: string | undefined, baseUrl: string): string | null =>
  token ? `${baseUrl}/customer-page/${token}` : null

/** The plain words of a visit's report, for a letter, and the day it tells of. */
async function reportWords(
  trx: Knex.Transaction,
  actor: Actor,
  visitId: VisitId,
): Promise<{ text: string; day: string }> {
  const { report, meanings } = await reportOf(trx, (await findVisit(trx, visitId))!, actor.firmName)
  return { text: reportLetter(report, meanings, actor.preferences.units, firmTexts()), day: report.day }
}

async function makeNotice(
  trx: Knex.Transaction,
  actor: Actor,
  visit: NoticeVisit,
  kind: NoticeKind,
  { time, page }: { time: string; page: string | null },
  state: 'queued' | 'notified' = 'queued',
): Promise<string> {
  const { firmId } = actor
  const { templates } = await findTemplates(trx)
  const before = () => {
    if (kind === 'running-late') return visit.startTime
    if (visit.notified) return dayAndTime(visit.notified.day, visit.notified.startTime)
    return dayAndTime(visit.day, visit.startTime)
  }
  const was = before()
  const report = kind === 'visit-report' ? await reportWords(trx, actor, visit.visitId) : null
  const words = {
    customer: visit.customerName,
    site: visit.siteName,
    job: visit.jobName.toLowerCase(),
    day: longDate(report?.day ?? visit.day),
    time,
    was,
    firm: (await findFirm(trx)).name,
    report: report?.text ?? '',
    link: page ? firmTexts()('messages.parts.customerPage', { page }) : '',
  }
  const id = randomUUID()
  const { subject, body } = fillTemplate(templates[kind], words)
  const first = subject.charAt(0).toUpperCase() + subject.slice(1)
  const letter = {
    id,
    visitId: visit.visitId,
    kind,
    day: visit.day,
    startTime: visit.startTime,
    recipient: visit.email,
    subject: first,
    body,
  }
  await insertNotice(trx, firmId, letter, state)
  return id
}

/**
 * Hands one letter to the outbox; a failure leaves it to be tried again. Safe to be called twice.
 * @throws the outbox did not take it
 */
export async function sendNotice(firmId: FirmId, noticeId: string, lastTry: boolean): Promise<void> {
  const taken = await inFirm(firmId, async (trx) => {
    const notice = await claimNotice(trx, noticeId)
    return notice && { notice, firm: await findFirm(trx) }
  })
  if (!taken) return
  const { notice, firm } = taken
  const outbox = mailGateway(process.env.MAIL_URL)
  try {
    if (!outbox) throw new Error('MAIL_URL is not set')
    await outbox.send({
      id: notice.id,
      from: `"${firm.name.replaceAll('"', '')}" <${process.env.MAIL_FROM || 'office@localhost'}>`,
      to: notice.recipient,
      subject: notice.subject,
      text: notice.body,
    })
    await inFirm(firmId, (trx) => endNotice(trx, noticeId, 'sent'))
  } catch (error) {
    const reason = (error as Error).message
    await inFirm(firmId, (trx) => endNotice(trx, noticeId, lastTry ? 'failed' : 'queued', reason))
    throw error
  }
}

/** Sends a letter that got stuck once more, whatever it got stuck in. */
export async function sendAgain(actor: Actor, noticeId: string): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await requeueNotice(trx, noticeId))) throw refused(said('messages.problems.letterSentAlreadyNoneYours'))
    await sendJobIn(trx, 'send-notice', { firmId: actor.firmId, noticeId })
  })
}

/** A letter on its way for so long has lost its sender. */
const STUCK_S = 120

/** Letters that wait with no job for them, or whose sender died, go out after all. */
export async function reviveLostNotices(olderThanS = STUCK_S): Promise<number> {
  const lost = await lostRows<string>('notices', olderThanS)
  for (const { id, firmId } of lost)
    await inFirm(firmId, async (trx) => {
      if (await requeueNotice(trx, id)) await sendJobIn(trx, 'send-notice', { firmId, noticeId: id })
    })
  return lost.length
}

export async function setTemplates(actor: Actor, version: number, templates: NoticeTemplates): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, (trx) => storeTemplates(trx, actor.firmId, version, templates))
}
