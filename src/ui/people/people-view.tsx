'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Crew, Person, SignedInDevice } from '@/domain/people/people'
import { may, ROLES, type Role } from '@/domain/people/roles'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'
import { CrewSetupForm } from './crew-setup-form'
import { Devices } from './devices'
import { FirmTimeZone } from './firm-time-zone'
import { OwnPassword } from './own-password'
import { PersonRow } from './person-row'

const NOBODY = { name: '', email: '', role: 'technician' as Role, crewId: '', password: '' }

interface PeopleViewProps {
  readonly people: readonly Person[]
  readonly crews: readonly Crew[]
  readonly devices: readonly SignedInDevice[]
}

/** Who works here, in which crew, with which rights. */
export function PeopleView({ people, crews, devices }: PeopleViewProps) {
  const t = useTexts()

  const router = useRouter()
  const { role } = usePerson()
  const [crewName, setCrewName] = useState('')
  const [person, setPerson] = useState(NOBODY)
  const [crewProblem, setCrewProblem] = useState<SendProblem | null>(null)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const errorOf = (path: string) => problem?.fields?.find((f) => f.path === path)?.message
  const addCrew = async () => {
    const outcome = await send('POST', '/api/v1/crews', { name: crewName })
    setCrewProblem(outcome.ok ? null : outcome.problem)
    if (!outcome.ok) return
    setCrewName('')
    router.refresh()
  }
  const addPerson = async () => {
    const outcome = await send('POST', '/api/v1/people', { ...person, crewId: person.crewId || null })
    setProblem(outcome.ok ? null : outcome.problem)
    if (!outcome.ok) return
    setPerson(NOBODY)
    router.refresh()
  }
  return (
    <>
      <div className="page-head">
        <h1>{t('people.peopleView.people')}</h1>
      </div>
      <div className="columns wide-left">
        <div>
          <section className="sheet table-responsive">
            <table className="table table-sm mb-0">
              <thead>
                <tr>
                  <th>{t('people.peopleView.name')}</th>
                  <th>{t('people.peopleView.eMail')}</th>
                  <th>{t('people.peopleView.role')}</th>
                  <th>{t('people.peopleView.crew')}</th>
                  {may(role, 'people.write') ? (
                    <th>
                      <span className="visually-hidden">{t('people.peopleView.edit')}</span>
                    </th>
                  ) : null}
                </tr>
              </thead>
              <tbody>
                {people.map((p) => (
                  <PersonRow key={p.id} person={p} crews={crews} mayWrite={may(role, 'people.write')} />
                ))}
              </tbody>
            </table>
          </section>
          {may(role, 'people.write') ? <Devices devices={devices} /> : null}
        </div>
        <div>
          <OwnPassword />
          {crews.length > 0 && may(role, 'visits.plan') ? (
            <section className="sheet" aria-label={t('people.peopleView.whatCrewsDo')}>
              <h2>{t('people.peopleView.whatCrewsDoWhen')}</h2>
              {crews.map((crew) => (
                <CrewSetupForm key={crew.id} crew={crew} />
              ))}
            </section>
          ) : null}
          {may(role, 'people.write') ? (
            <>
              <form
                className="sheet"
                method="post"
                onSubmit={(e) => {
                  e.preventDefault()
                  void addCrew()
                }}
              >
                <h2>
                  {t('people.peopleView.crews')} {crews.map((c) => c.name).join(', ') || t('people.peopleView.noneYet')}
                </h2>
                <TextField
                  label={t('people.peopleView.newCrew')}
                  value={crewName}
                  onChange={(e) => setCrewName(e.target.value)}
                />
                <ProblemNote problem={crewProblem} />
                <button className="btn btn-sm btn-primary mt-2">{t('people.peopleView.addCrew')}</button>
              </form>
              <form
                className="sheet"
                method="post"
                onSubmit={(e) => {
                  e.preventDefault()
                  void addPerson()
                }}
              >
                <h2>{t('people.peopleView.addPerson')}</h2>
                <TextField
                  label={t('people.peopleView.name')}
                  value={person.name}
                  onChange={(e) => setPerson({ ...person, name: e.target.value })}
                  error={errorOf('name')}
                />
                <TextField
                  label={t('people.peopleView.eMail')}
                  type="email"
                  value={person.email}
                  onChange={(e) => setPerson({ ...person, email: e.target.value })}
                  error={errorOf('email')}
                />
                <ChoiceField
                  label={t('people.peopleView.role')}
                  value={person.role}
                  onChange={(e) => setPerson({ ...person, role: e.target.value as Role })}
                  options={ROLES.map((role) => ({ value: role, label: t(`people.roleNames.${role}`) }))}
                />
                <ChoiceField
                  label={t('people.peopleView.crew')}
                  value={person.crewId}
                  onChange={(e) => setPerson({ ...person, crewId: e.target.value })}
                  options={[
                    { value: '', label: t('people.peopleView.none') },
                    ...crews.map((c) => ({ value: c.id, label: c.name })),
                  ]}
                />
                <TextField
                  label={t('people.peopleView.firstPassword')}
                  type="password"
                  autoComplete="new-password"
                  value={person.password}
                  onChange={(e) => setPerson({ ...person, password: e.target.value })}
                  error={errorOf('password')}
                />
                <ProblemNote problem={problem} />
                <button className="btn btn-sm btn-primary mt-2">{t('people.peopleView.addPerson2')}</button>
              </form>
              <FirmTimeZone />
            </>
          ) : null}
        </div>
      </div>
    </>
  )
}
