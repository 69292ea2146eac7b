import { PACK_FORMAT } from '@/domain/field/field-pack'
import { refusalOfOtherPage } from './pack-format'

const refusal = (query: string) => refusalOfOtherPage(new Request(`http://firm.example/api/v1/field/pack${query}`))

describe('what a field page is handed', () => {
  it('is for pages of this version', () => expect(refusal(`?format=${PACK_FORMAT}`)).toBeNull())
  it.each(['', '?format=', `?format=${PACK_FORMAT - 1}`, `?format=${PACK_FORMAT + 1}`])(
    'is refused to one that asks with "%s", as no answer for now',
    async (query) => {
      const response = refusal(query)!
      // pages from before packs had a format take 503 for no signal, and work on with what they hold
      expect(response.status).toBe(503)
      expect(await response.json()).toMatchObject({ kind: 'other-version' })
    },
  )
})
