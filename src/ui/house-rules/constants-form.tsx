'use client'
import { z } from 'zod'
import { CONSTANT_GROUPS, HOUSE_CONSTANTS, type ConstantKey } from '@/core/filter/house-constants'
import { agreeingWith, type OwnConstants } from '@/domain/house-rules/house-constants'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { ConstantRow } from './constant-row'

interface ConstantsFormProps {
  /** Figures that differ here. */
  readonly own: OwnConstants
  /** What they differ from: the house's figures at a pond; the usual ones elsewhere. */
  readonly house: OwnConstants | null
  /** As it was last seen: a later save by someone else is then a conflict. */
  readonly version: number
  readonly onSaved: () => void
  /** Where they are sent to. */
  readonly url: string
  readonly locked: boolean
}

/** Every figure that filters are worked out by, group by group; each can be set with its reason and source. */
export function ConstantsForm({ own: kept, house, version, onSaved, url, locked }: ConstantsFormProps) {
  const t = useTexts()
  const { values, put, errorOf, submit, problem, saved, sending, ready } = useSchemaForm({
    schema: z.strictObject({ own: agreeingWith(house ?? {}) }),
    values: { own: kept },
  })
  const { own } = values
  const set = (key: ConstantKey, to: OwnConstants[ConstantKey] | null) => {
    const { [key]: _dropped, ...others } = own
    put({ own: to ? { ...others, [key]: to } : others })
  }
  return (
    <form noValidate onSubmit={submit((body) => send('PUT', url, { version, ...body }), onSaved)}>
      {CONSTANT_GROUPS.map((group) => {
        const constants = HOUSE_CONSTANTS.filter((of) => of.group === group)
        const changed = constants.filter(({ key }) => own[key]).length
        return (
          <details key={group} className="sheet" open={constants.some(({ key }) => kept[key]) || undefined}>
            <summary>
              <strong>{t(`houseRules.constantGroups.${group}`)}</strong>{' '}
              <span className="soft small">
                {changed > 0
                  ? t('houseRules.constants.changed', { count: constants.length, changed })
                  : t('houseRules.constants.figures', { count: constants.length })}
              </span>
            </summary>
            <fieldset className="border-0 p-0 m-0" disabled={locked || !ready}>
              <ul className="list-unstyled mt-2 mb-0">
                {constants.map((of) => (
                  <ConstantRow
                    key={of.key}
                    of={of}
                    own={own[of.key] ?? null}
                    house={house?.[of.key]?.value ?? null}
                    locked={locked}
                    errorOf={(part) => errorOf(`own.${of.key}.${part}`)}
                    onChange={(to) => set(of.key, to)}
                  />
                ))}
              </ul>
            </fieldset>
          </details>
        )
      })}
      <ProblemNote problem={problem} />
      <p role="status" className="mb-2">
        {saved ? t('houseRules.constants.saved') : ''}
      </p>
      {locked ? null : (
        <button className="btn btn-primary" disabled={sending}>
          {t('houseRules.constants.save')}
        </button>
      )}
    </form>
  )
}
