/** The queue library's own schema. */
export const QUEUE_SCHEMA = 'queue'

/**
 * How often a letter is handed in before it is shown as failed: with a wait that doubles each time, for about a day.
 */
export const NOTICE_TRIES = 13

/** Queues of the app, made when the database is brought up to date. A job whose worker vanished is tried again. */
export const QUEUES = {
  'plan-season': { retryLimit: 3, retryDelay: 1, expireInSeconds: 900 },
  'windows-of-ponds': { retryLimit: 3, retryDelay: 5, expireInSeconds: 900 },
  /** Every night for every firm. */
  'forecast-ponds': { retryLimit: 3, retryDelay: 1, expireInSeconds: 1800 },
  /** Forecasts that somebody waits for never stand behind those of the night. */
  'forecast-asked': { retryLimit: 3, retryDelay: 1, expireInSeconds: 1800 },
  'send-notice': { retryLimit: NOTICE_TRIES - 1, retryDelay: 20, retryBackoff: true, expireInSeconds: 60 },
  /** A proposal was answered: its author and the office are told. */
  'tell-answer': { retryLimit: NOTICE_TRIES - 1, retryDelay: 20, retryBackoff: true, expireInSeconds: 60 },
} as const
export type QueueName = keyof typeof QUEUES

export interface QueuePayload {
  readonly 'plan-season': { readonly firmId: string; readonly runId: string }
  readonly 'windows-of-ponds': { readonly firmId: string }
  readonly 'forecast-ponds': { readonly firmId: string; readonly runId: string }
  readonly 'forecast-asked': { readonly firmId: string; readonly runId: string }
  readonly 'send-notice': { readonly firmId: string; readonly noticeId: string }
  readonly 'tell-answer': { readonly firmId: string; readonly proposalId: string }
}
