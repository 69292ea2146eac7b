'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { KEY_SCOPES, type ApiKey, type KeyScope } from '@/domain/firm/api-key'
import { instant } from '@/domain/shared/dates'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'

/** Keys with which probes post readings and programs run calculations. */
export function KeysPart({ keys }: { keys: readonly ApiKey[] }) {
  const t = useTexts()

  const router = useRouter()
  const { timeZone } = usePerson()
  const [name, setName] = useState('')
  const [scope, setScope] = useState<KeyScope>('readings')
  const [token, setToken] = useState('')
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const make = async () => {
    const outcome = await send<{ token: string }>('POST', '/api/v1/api-keys', { name, scope })
    setProblem(outcome.ok ? null : outcome.problem)
    if (!outcome.ok) return
    setToken(outcome.value.token)
    setName('')
    router.refresh()
  }
  const end = async (id: string) => {
    const outcome = await send('DELETE', `/api/v1/api-keys/${id}`)
    setProblem(outcome.ok ? null : outcome.problem)
    setToken('')
    if (outcome.ok) router.refresh()
  }
  return (
    <section className="sheet" aria-label={t('exchange.keysPart.keys')}>
      <h2>{t('exchange.keysPart.keysProbesPrograms')}</h2>
      <p className="soft">
        {t('exchange.keysPart.probePostsSenml')} <code>{t('exchange.keysPart.apiV1Readings')}</code>
        {t('exchange.keysPart.namedPondsIdKind')} <code>{t('exchange.keysPart.apiV1Calc')}</code>
        {t('exchange.keysPart.bothSendKeyBearer')}
      </p>
      <div className="d-flex flex-wrap gap-2 align-items-end">
        <TextField
          label={t('exchange.keysPart.what')}
          value={name}
          onChange={(e) => setName(e.target.value)}
          error={problem?.fields?.find((f) => f.path === 'name')?.message}
        />
        <ChoiceField
          label={t('exchange.keysPart.may')}
          value={scope}
          onChange={(e) => setScope(e.target.value as KeyScope)}
          options={KEY_SCOPES.map((s) => ({ value: s, label: t(`firm.keyScopeNames.${s}`) }))}
        />
        <button type="button" className="btn btn-sm btn-primary" onClick={() => void make()}>
          {t('exchange.keysPart.makeKey')}
        </button>
      </div>
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
      <ProblemNote problem={problem} />
      <ul className="plain-list mt-2">
        {keys.map((key) => (
          <li key={key.id} className="d-flex flex-wrap gap-2 align-items-baseline">
            <strong>{key.name}</strong>
            <span className="soft small">
              {t(`firm.keyScopeNames.${key.scope}`).toLowerCase()},{' '}
              {key.usedAt
                ? t('exchange.keysPart.lastUsed', { usedAt: instant(key.usedAt, timeZone) })
                : t('exchange.keysPart.notUsedYet')}
            </span>
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary ms-auto"
              onClick={() => void end(key.id)}
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
