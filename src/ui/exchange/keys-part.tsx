'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { ApiKeyInput, KEY_SCOPES, type ApiKey, type KeyScope } from '@/domain/firm/api-key'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useRemoval } from '@/ui/use-removal'
import { useSchemaForm } from '@/ui/use-schema-form'

/** Keys with which probes post readings and programs run calculations. */
export function KeysPart({ keys }: { keys: readonly ApiKey[] }) {
  const t = useTexts()

  const { timeZone } = usePerson()
  const [token, setToken] = useState('')
  const removal = useRemoval()
  const made = useSchemaForm({ schema: ApiKeyInput, values: { name: '', scope: 'readings' as KeyScope } })
  const end = async ({ id, name }: ApiKey) => {
    const gone = await removal.removeForGood({
      path: `/api/v1/api-keys/${id}`,
      words: t('exchange.keysPart.keyEndsForGood', { name }),
      goOn: t('exchange.keysPart.revoke'),
    })
    if (gone) setToken('')
  }
  return (
    <section className="sheet" aria-label={t('exchange.keysPart.keys')}>
      <h2>{t('exchange.keysPart.keysProbesPrograms')}</h2>
      <p className="soft">
        {t('exchange.keysPart.probePostsSenml')} <code>{t('exchange.keysPart.apiV1Readings')}</code>
        {t('exchange.keysPart.namedPondsIdKind')} <code>{t('exchange.keysPart.apiV1Calc')}</code>
        {t('exchange.keysPart.bothSendKeyBearer')}
      </p>
      <form
        method="post"
        noValidate
        className="d-flex flex-wrap gap-2 align-items-end"
        onSubmit={made.submit(
          (body) => send<{ token: string }>('POST', '/api/v1/api-keys', body),
          ({ token }, { scope }) => {
            setToken(token)
            made.form.reset({ name: '', scope })
          },
        )}
      >
        <TextField label={t('exchange.keysPart.what')} {...made.field('name')} />
        <ChoiceField
          label={t('exchange.keysPart.may')}
          options={KEY_SCOPES.map((s) => ({ value: s, label: t(`firm.keyScopeNames.${s}`) }))}
          {...made.field('scope')}
        />
        <button className="btn btn-sm btn-primary" disabled={made.sending}>
          {t('exchange.keysPart.makeKey')}
        </button>
      </form>
      {token ? (
        <label className="d-block mt-2">
          {t('exchange.keysPart.copyKeyNowShown')}
          <input
            className="form-control form-control-sm"
            readOnly
            value={token}
            onFocus={(e) => e.target.select()}
            aria-label={t('exchange.keysPart.newKey')}
          />
        </label>
      ) : null}
      <ProblemNote problem={made.problem ?? removal.problem} />
      <ul className="plain-list mt-2">
        {keys.map((key) => (
          <li key={key.id} className="d-flex flex-wrap gap-2 align-items-baseline">
            <strong>{key.name}</strong>
            <span className="soft small">
              {t(`firm.keyScopeNames.${key.scope}`).toLowerCase()},{' '}
              {key.usedAt
                ? t('exchange.keysPart.lastUsed', { usedAt: t.instant(key.usedAt, timeZone) })
                : t('exchange.keysPart.notUsedYet')}
            </span>
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary ms-auto"
              onClick={() => void end(key)}
              aria-label={t('exchange.keysPart.revokeKey', { name: key.name })}
            >
              {t('exchange.keysPart.revoke')}
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
