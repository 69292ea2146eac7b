import { PACK_FORMAT } from '@/domain/field/field-pack'
import { problemJson } from '@/server/platform/http/problem-response'
import { firmTexts } from '@/messages/texts'

/**
 * A page of another program cannot read what this one packs. It is told that nothing can be had for now, works on with
 * what is on the device, as without a signal, and is today's page when it is opened again.
 * @returns the refusal; null for a page of today
 */
export const refusalOfOtherPage = (request: Request): Response | null =>
  new URL(request.url).searchParams.get('format') === String(PACK_FORMAT)
    ? null
    : problemJson({
        title: firmTexts()('kit.problems.otherVersion'),
        status: 503,
        kind: 'other-version',
      })
