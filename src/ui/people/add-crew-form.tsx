'use client'
import { CrewInput, type Crew } from '@/domain/people/people'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

/** A crew more. */
export function AddCrewForm({ crews }: { crews: readonly Crew[] }) {
  const t = useTexts()

  const { form, field, submit, problem, sending } = useSchemaForm({ schema: CrewInput, values: { name: '' } })
  return (
    <form
      className="sheet"
      method="post"
      noValidate
      onSubmit={submit(
        (body) => send('POST', '/api/v1/crews', body),
        () => form.reset({ name: '' }),
      )}
    >
      <h2>
        {t('people.peopleView.crews')} {crews.map((c) => c.name).join(', ') || t('people.peopleView.noneYet')}
      </h2>
      <TextField label={t('people.peopleView.newCrew')} {...field('name')} />
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary mt-2" disabled={sending}>
        {t('people.peopleView.addCrew')}
      </button>
    </form>
  )
}
