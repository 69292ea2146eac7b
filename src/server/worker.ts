import type { FirmId, ForecastRunId, PlanRunId, ProposalId } from '@/domain/shared/ids'
import { closeDatabase } from '@/server/platform/db/connection'
import { logger } from '@/server/platform/logger'
import { beat, BEAT_EVERY_MS, endBeat } from './platform/queue/beats'
import { forecastPonds, forecastRuns } from './forecasts/forecast-ponds'
import { planRuns, planSeason } from './schedule/plan-season'
import { closeQueue, openForWork } from './platform/queue/queue'
import { tellAnswer } from '@/server/proposals/proposal-answers'
import { reviveLostNotices, sendNotice } from '@/server/messages/notices'
import { NOTICE_TRIES, QUEUES, type QueueName, type QueuePayload } from './platform/queue/queues'
import { forecastWatch, weatherWatch } from './season/weather-watch'
import { windowsOfPonds } from './season/windows-of-ponds'

const POLL_S = 0.5
const REVIVE_MS = 4000
const WEATHER_MS = 5 * 60_000

/** Takes jobs from the queue until told to end; any number of these may run, on any machine. */
const boss = await openForWork()
const take = <Name extends QueueName>(name: Name, work: (payload: QueuePayload[Name]) => Promise<void>) =>
  boss.work<QueuePayload[Name]>(name, { pollingIntervalSeconds: POLL_S, batchSize: 1 }, async (jobs) => {
    for (const job of jobs) await work(job.data)
  })
await take('plan-season', ({ firmId, runId }) => planSeason(firmId as FirmId, runId as PlanRunId))
await take('tell-answer', ({ firmId, proposalId }) => tellAnswer(firmId as FirmId, proposalId as ProposalId))
await take('windows-of-ponds', ({ firmId }) => windowsOfPonds(firmId as FirmId))
for (const name of ['forecast-ponds', 'forecast-asked'] as const)
  await take(name, ({ firmId, runId }) => forecastPonds(firmId as FirmId, runId as ForecastRunId))
await boss.work<QueuePayload['send-notice']>(
  'send-notice',
  { pollingIntervalSeconds: POLL_S, batchSize: 1, includeMetadata: true },
  async ([job]) => sendNotice(job!.data.firmId as FirmId, job!.data.noticeId, job!.retryCount >= NOTICE_TRIES - 1),
)
const revive = setInterval(
  () =>
    void Promise.all([planRuns.revive(), forecastRuns.revive(), reviveLostNotices()]).catch((error: Error) =>
      logger.warn({ reason: error.message }, 'what was lost could not be looked for'),
    ),
  REVIVE_MS,
)
const askWeather = () =>
  void weatherWatch()
    .then(() => forecastWatch())
    .catch((error: Error) => logger.warn({ reason: error.message }, 'no news from the weather desk'))
const beating = setInterval(
  () => void beat().catch((error: Error) => logger.warn({ reason: error.message }, 'no sign of life could be given')),
  BEAT_EVERY_MS,
)
await beat()
const watch = setInterval(askWeather, WEATHER_MS)
askWeather()
process.stdout.write('worker ready\n')

const end = async () => {
  clearInterval(revive)
  clearInterval(watch)
  clearInterval(beating)
  await endBeat().catch(() => undefined)
  // nothing new is taken while what is under way goes back: it would be taken here again
  await Promise.all((Object.keys(QUEUES) as QueueName[]).map((name) => boss.offWork(name)))
  await planRuns.handBack()
  await forecastRuns.handBack()
  await closeQueue()
  await closeDatabase()
  process.exit(0)
}
process.on('SIGTERM', () => void end())
process.on('SIGINT', () => void end())
