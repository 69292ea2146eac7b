'use client'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { FirstFirmInput } from '@/domain/people/people'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'
import { Door } from './door'

export function FirstFirmForm() {
  const { register, handleSubmit, formState } = useForm({
    resolver: zodResolver(FirstFirmInput),
    defaultValues: { firmName: '', ownerName: '', email: '', password: '', timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone },
  })
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const { errors } = formState
  const submit = handleSubmit(async (input) => {
    const outcome = await send('POST', '/api/v1/first-firm', input)
    if (outcome.ok) window.location.assign('/')
    else setProblem(outcome.problem)
  })
  return (
    <Door title="Open your firm">
      <p className="soft small">Nothing is here yet. Whoever fills this in becomes the owner and can add everyone else.</p>
      <form method="post" onSubmit={submit} className="d-grid gap-2" noValidate>
        <TextField label="Firm name" error={errors.firmName?.message} {...register('firmName')} />
        <TextField label="Your name" autoComplete="name" error={errors.ownerName?.message} {...register('ownerName')} />
        <TextField label="E-mail" type="email" autoComplete="username" error={errors.email?.message} {...register('email')} />
        <TextField label="Password" type="password" autoComplete="new-password" error={errors.password?.message} {...register('password')} />
        <TextField label="Time zone of the firm" error={errors.timeZone?.message} {...register('timeZone')} />
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1" disabled={formState.isSubmitting}>
          Open the firm
        </button>
      </form>
    </Door>
  )
}
