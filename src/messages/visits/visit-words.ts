import type { QuantityKind } from '@/core/units/kinds'
import type { UsualStep } from '@/core/visits/step'
import type { StepAmount } from '@/core/visits/step-amounts'
import type { VisitTypeKey } from '@/core/visits/visit-type-keys'
import type { RuleWords, VisitWords } from '@/core/visits/worded'
import { visitType } from '@/core/visits/visit-types'
import { en } from '@/messages/en'
import type { TextKey, Texts } from '@/messages/texts'

/** A quantity as words carry it; it is shown in the units of who reads them (`inUnits`). */
const token = (value: number, kind: QuantityKind): string => `{${value}|${kind}}`

/** Which parts the words of a step have; all languages have the same. */
const PARTS: Readonly<Record<string, Readonly<Record<string, string>>>> = en.visitSteps

const PART_NAMES = ['title', 'detail', 'safety'] as const

/** The name of a visit type in the reader's language; a key of an older day that is none stands as it is. */
export const jobName = (key: string, t: Texts): string =>
  visitType(key) ? t(`visitTypes.names.${key as VisitTypeKey}`) : key

/** The name of a visit type within a sentence. */
export const jobNameInText = (key: string, t: Texts): string =>
  visitType(key) ? t(`visitTypes.namesInText.${key as VisitTypeKey}`) : key

/** The name of one visit for several jobs, by their keys. */
export const jobsTogether = ([first, ...also]: readonly [string, ...string[]], t: Texts): string =>
  also.reduce((name, key) => t('visitTypes.together.with', { name, also: jobNameInText(key, t) }), jobName(first, t))

function stepWords({ words, amounts = {} }: UsualStep, t: Texts) {
  const values = Object.fromEntries(
    Object.entries<StepAmount>(amounts).map(([name, amount]) => [name, token(...amount)]),
  )
  const parts = PART_NAMES.filter((part) => PARTS[words]![part] !== undefined)
  const said = parts.map((part) => [part, t(`visitSteps.${words}.${part}` as TextKey, values)])
  return Object.fromEntries(said) as { title: string; detail?: string; safety?: string }
}

function ruleWords(rule: RuleWords, t: Texts): string {
  if (rule.code !== 'feeding') return t(`visitTypes.byRule.${rule.code}`)
  return t('visitTypes.byRule.feeding', {
    start: token(rule.startWaterC, 'temperature'),
    normal: token(rule.normalWaterC, 'temperature'),
  })
}

/** The words of visit types and their steps in a language. Visits and firms' own types keep them as they were made. */
export const visitWords = (t: Texts): VisitWords => ({
  name: (key) => jobName(key, t),
  customerNote: (key) => t(`visitTypes.customerNotes.${key as VisitTypeKey}`),
  followUp: (key) => (key in en.visitTypes.followUps ? t(`visitTypes.followUps.${key}` as TextKey) : ''),
  section: (code) => t(`visitTypes.sections.${code}` as TextKey),
  step: (step) => stepWords(step, t),
  answer: ({ words }, code) => t(`visitSteps.${words}.${code}` as TextKey),
  overnightNote: t('visitTypes.customerNotes.overnight'),
  whileThere: t('visitTypes.sections.whileThere'),
  together: (host, also) =>
    also.reduce((name, { key, name: own }) => {
      const usual = own === jobName(key, t)
      return t('visitTypes.together.with', { name, also: usual ? jobNameInText(key, t) : own })
    }, host.name),
  byRule: (rule) => ruleWords(rule, t),
})
