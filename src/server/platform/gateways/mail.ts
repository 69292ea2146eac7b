import { createTransport } from 'nodemailer'

interface MailMessage {
  /** The same id is delivered once, however often it is handed in. */
  readonly id: string
  readonly from: string
  readonly to: string
  readonly subject: string
  readonly text: string
}

/** Something that takes a letter and sees to it; throws when it does not. */
export interface MailGateway {
  send(message: MailMessage): Promise<void>
}

const TIMEOUT_MS = 4000
/** A mail server may think about a letter; a claim lasts longer. */
const SMTP_TIMEOUT_MS = 30_000

/** An outbox over HTTP: POST /messages. */
const httpOutbox = (baseUrl: string): MailGateway => ({
  send: async (message) => {
    const response = await fetch(new URL('/messages', baseUrl), {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(message),
      signal: AbortSignal.timeout(TIMEOUT_MS),
    })
    if (!response.ok) throw new Error(`The outbox answered ${response.status}`)
  },
})

/** A message id is unique by the sender's own domain (RFC 5322, 3.6.4). */
const domainOf = (from: string): string => /@([a-z0-9.-]+)>?$/i.exec(from.trim())?.[1] ?? 'localhost'

/** A mail server by SMTP; the message id lets it and the reader see a repeat. */
const smtpMail = (url: string, timeoutMs: number): MailGateway => {
  // beside the address, not after it: what comes after it are usual parts of a letter
  const transport = createTransport({
    url,
    connectionTimeout: timeoutMs,
    greetingTimeout: timeoutMs,
    socketTimeout: timeoutMs,
  })
  return {
    send: async ({ id, ...message }) => {
      // the same letter has the same id in every try, so that a repeat is seen as one
      await transport.sendMail({ ...message, messageId: `<${id}@${domainOf(message.from)}>` })
    },
  }
}

/**
 * The way out for letters: an smtp:// or smtps:// address, or an outbox by http://.
 * @param smtpTimeoutMs how long a mail server may be silent
 * @returns null where none is set
 */
export function mailGateway(url: string | undefined, smtpTimeoutMs = SMTP_TIMEOUT_MS): MailGateway | null {
  if (!url) return null
  return /^smtps?:/.test(url) ? smtpMail(url, smtpTimeoutMs) : httpOutbox(url)
}
