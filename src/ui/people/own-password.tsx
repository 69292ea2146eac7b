'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'

/** The own password; other devices are signed out by it. */
export function OwnPassword() {
  const t = useTexts()

  const [current, setCurrent] = useState('')
  const [next, setNext] = useState('')
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(false)
  const errorOf = (path: string) => problem?.fields?.find((f) => f.path === path)?.message
  const save = async () => {
    const outcome = await send('POST', '/api/v1/password', { current, next })
    setProblem(outcome.ok ? null : outcome.problem)
    setSaved(outcome.ok)
    if (!outcome.ok) return
    setCurrent('')
    setNext('')
  }
  return (
    <form
      className="sheet"
      method="post"
      onSubmit={(e) => {
        e.preventDefault()
        void save()
      }}
    >
      <h2>{t('people.ownPassword.yourPassword')}</h2>
      <TextField
        label={t('people.ownPassword.passwordNow')}
        type="password"
        autoComplete="current-password"
        value={current}
        onChange={(e) => setCurrent(e.target.value)}
        error={errorOf('current')}
      />
      <TextField
        label={t('people.ownPassword.newPassword')}
        type="password"
        autoComplete="new-password"
        value={next}
        onChange={(e) => setNext(e.target.value)}
        error={errorOf('next')}
      />
      <ProblemNote problem={problem} />
      <p role="status" className="soft small mb-1">
        {saved ? t('people.ownPassword.savedYourOtherDevices') : ''}
      </p>
      <button className="btn btn-sm btn-primary mt-2">{t('people.ownPassword.changePassword')}</button>
    </form>
  )
}
