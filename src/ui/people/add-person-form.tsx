'use client'
import { PersonInput, type Crew } from '@/domain/people/people'
import { ROLES, type Role } from '@/domain/people/roles'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

const NOBODY = { name: '', email: '', role: 'technician' as Role, crewId: '', password: '' }

/** Somebody more who works here. */
export function AddPersonForm({ crews }: { crews: readonly Crew[] }) {
  const t = useTexts()

  const { form, field, submit, problem, sending } = useSchemaForm({
    schema: PersonInput,
    values: NOBODY,
    bodyOf: (person) => ({ ...person, crewId: person.crewId || null }),
  })
  return (
    <form
      className="sheet"
      method="post"
      noValidate
      onSubmit={submit(
        (body) => send('POST', '/api/v1/people', body),
        () => form.reset(NOBODY),
      )}
    >
      <h2>{t('people.peopleView.addPerson')}</h2>
      <TextField label={t('people.peopleView.name')} {...field('name')} />
      <TextField label={t('people.peopleView.eMail')} type="email" {...field('email')} />
      <ChoiceField
        label={t('people.peopleView.role')}
        options={ROLES.map((role) => ({ value: role, label: t(`people.roleNames.${role}`) }))}
        {...field('role')}
      />
      <ChoiceField
        label={t('people.peopleView.crew')}
        options={[
          { value: '', label: t('people.peopleView.none') },
          ...crews.map((c) => ({ value: c.id, label: c.name })),
        ]}
        {...field('crewId')}
      />
      <TextField
        label={t('people.peopleView.firstPassword')}
        type="password"
        autoComplete="new-password"
        {...field('password')}
      />
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary mt-2" disabled={sending}>
        {t('people.peopleView.addPerson2')}
      </button>
    </form>
  )
}
