import { z } from 'zod'
import { diagnose } from '../core/diagnosis/diagnose'
import { findingsByFacts } from '../core/diagnosis/fact-findings'
import { FINDING_KEYS, type FindingKey } from '../core/diagnosis/findings'
import { findingsByTests } from '../core/diagnosis/test-findings'
import { defineCalculation, numberIn } from './define'
import { SAMPLE_INPUT, sampleOf } from './sample'

const DAYS = [0, 40_000] as const
const FACTS = z.strictObject({
  filterAge_d: numberIn(DAYS, 'age of the filter').optional(),
  cleanedAgo_d: numberIn(DAYS, 'days since all media were cleaned or the pond was drained').optional(),
  bedOfNeeded: numberIn([0, 100], 'area of the bed as a share of what the house method asks for').optional(),
  plantCover: numberIn([0, 1], 'share of the bed that plants cover').optional(),
})

export const DIAGNOSIS_CALCULATIONS = [
  defineCalculation({
    name: 'diagnosis.rank',
    summary:
      'What may be wrong with a pond by what is seen and tested: causes that explain something found, what can kill first from 0.3 on, then by likelihood (several can be at work at once), and the test that would tell most',
    input: z.strictObject({
      findings: z
        .partialRecord(z.enum(FINDING_KEYS as [FindingKey, ...FindingKey[]]), z.boolean())
        .describe('what was found (true), looked for and not found (false); left out: nobody looked'),
      readings: SAMPLE_INPUT.describe('tests of the water; a finding given above goes before them'),
      facts: FACTS.optional(),
    }),
    output: z.object({
      causes: z.array(z.object({ code: z.string(), likelihood: z.number() })),
      nextTest: z.string().nullable(),
      together: z.array(z.string()).describe('causes that are probably at work at once'),
      notRuledOut: z.array(z.string()).describe('what can kill and is neither likely nor ruled out'),
    }),
    run: ({ findings, readings, facts }) => {
      const { ranked, next, together, notRuledOut } = diagnose({
        ...findingsByFacts({
          filterAgeD: facts?.filterAge_d,
          cleanedAgoD: facts?.cleanedAgo_d,
          bedOfNeeded: facts?.bedOfNeeded,
          plantCover: facts?.plantCover,
        }),
        ...findingsByTests(sampleOf(readings)),
        ...findings,
      })
      return {
        causes: ranked.filter((r) => r.explains).map(({ cause, likelihood }) => ({ code: cause, likelihood })),
        nextTest: next?.finding ?? null,
        together: [...together],
        notRuledOut: [...notRuledOut],
      }
    },
  }),
]
