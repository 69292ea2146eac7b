import { answerError } from '@/server/platform/http/problem-response'
import { calendarOf } from '@/server/rounds/calendar-feeds'

/** A calendar program asks here, with nothing but the secret in the address: TOKEN.ics */
export async function GET(_request: Request, { params }: { params: Promise<{ file: string }> }): Promise<Response> {
  try {
    const text = await calendarOf((await params).file.replace(/\.ics$/, ''))
    return new Response(text, {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': 'inline; filename="visits.ics"',
        'cache-control': 'no-store',
      },
    })
  } catch (error) {
    return answerError(error)
  }
}
