import { z } from 'zod'
import {
  contradictions,
  houseConstant,
  HOUSE_CONSTANTS,
  withConstants,
  type ConstantKey,
  type ConstantValues,
} from '../../core/filter/house-constants'
import { DEFAULT_FILTER_RULES } from '../../core/filter/house-rules'
import { shortText } from '../shared/fields'
import { said } from '../shared/said'

const OwnConstant = z.strictObject({
  value: z.number({ error: said('houseRules.problems.constantMissing') }),
  /** Why it differs, and where the figure comes from. */
  reason: shortText('houseRules.fields.whyAnotherFigure', 300),
  source: shortText('houseRules.fields.sourceOfTheFigure', 200),
})
export type OwnConstant = z.infer<typeof OwnConstant>

/** Figures of its own that a firm, or a pond, reckons with: each with its reason and its source. */
export type OwnConstants = { readonly [K in ConstantKey]?: OwnConstant }

export const OwnConstants = z.strictObject(
  Object.fromEntries(
    HOUSE_CONSTANTS.map(({ key, range: [from, to] }) => {
      const error = said('houseRules.problems.constantOutOfRange', { from, to })
      const value = OwnConstant.shape.value.min(from, { error }).max(to, { error })
      return [key, OwnConstant.extend({ value }).optional()]
    }),
  ),
) as unknown as z.ZodType<OwnConstants>

/** The same, refused where figures contradict each other. @param house what holds where these set nothing */
export const agreeingWith = (house: OwnConstants): z.ZodType<OwnConstants> =>
  OwnConstants.superRefine((own, context) => {
    if (context.issues.length > 0) return
    for (const key of contradictions(rulesWith({ ...house, ...own })))
      context.addIssue({
        code: 'custom',
        path: [key, 'value'],
        message: said('houseRules.problems.constantsContradict'),
      })
  })

/** What a house may set: its figures agree with each other and with the usual ones. */
export const HouseConstants = agreeingWith({})

const rulesWith = (own: OwnConstants) => withConstants(DEFAULT_FILTER_RULES, valuesOf(own))

/** Whether a pond's figures agree with those that a house would have. */
export const agree = (house: OwnConstants, pond: OwnConstants): boolean =>
  contradictions(rulesWith({ ...house, ...pond })).length === 0

export interface KeptConstants {
  readonly constants: OwnConstants
  /** 0 while the firm reckons with the usual figures. */
  readonly version: number
}

export const valuesOf = (own: OwnConstants): ConstantValues =>
  Object.fromEntries(Object.entries(own).flatMap(([key, of]) => (of ? [[key, of.value]] : [])))

/** A figure that is not the usual one, and who says so. */
export interface ChangedConstant extends OwnConstant {
  readonly key: ConstantKey
  readonly by: 'house' | 'pond'
}

/** What holds at a pond: its own figures where it has any, the house's elsewhere; the others are as usual. */
export const constantsAt = (house: OwnConstants, pond: OwnConstants): ChangedConstant[] =>
  HOUSE_CONSTANTS.flatMap(({ key }): ChangedConstant[] => {
    const [here, there] = [pond[key], house[key]]
    if (here) return [{ ...here, key, by: 'pond' }]
    return there ? [{ ...there, key, by: 'house' }] : []
  })

/** Kept figures of constants that are no more, or that have another range now, are left out. */
export const keptConstants = (kept: Readonly<Record<string, unknown>>): OwnConstants =>
  OwnConstants.parse(
    Object.fromEntries(
      Object.entries(kept).filter(([key, own]) => {
        const of = houseConstant(key)
        const value = (own as OwnConstant).value
        return of !== undefined && value >= of.range[0] && value <= of.range[1]
      }),
    ),
  )
