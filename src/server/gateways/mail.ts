import { createTransport } from 'nodemailer'

export interface MailMessage {
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

/** An outbox over HTTP: POST /messages. */
export const httpOutbox = (baseUrl: string): MailGateway => ({
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

/** A mail server by SMTP; the message id lets it and the reader see a repeat. */
export const smtpMail = (url: string): MailGateway => {
  const transport = createTransport(url)
  return {
    send: async ({ id, ...message }) => {
      await transport.sendMail({ ...message, messageId: `<${id}@slow-reed>` })
    },
  }
}

/**
 * The way out for letters: an smtp:// or smtps:// address, or an outbox by http://.
 * @returns null where none is set
 */
export function mailGateway(url: string | undefined): MailGateway | null {
  if (!url) return null
  return /^smtps?:/.test(url) ? smtpMail(url) : httpOutbox(url)
}
