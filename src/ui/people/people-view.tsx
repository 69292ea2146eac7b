'use client'
import { useTexts } from '@/ui/kit/texts'
import type { Crew, Person, SignedInDevice } from '@/domain/people/people'
import { may } from '@/domain/people/roles'
import { usePerson } from '@/ui/person-context'
import { AddCrewForm } from './add-crew-form'
import { AddPersonForm } from './add-person-form'
import { CrewSetupForm } from './crew-setup-form'
import { Devices } from './devices'
import { FirmTimeZone } from './firm-time-zone'
import { OwnPassword } from './own-password'
import { PersonRow } from './person-row'

interface PeopleViewProps {
  readonly people: readonly Person[]
  readonly crews: readonly Crew[]
  readonly devices: readonly SignedInDevice[]
}

/** Who works here, in which crew, with which rights. */
export function PeopleView({ people, crews, devices }: PeopleViewProps) {
  const t = useTexts()

  const { role } = usePerson()
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
              <AddCrewForm crews={crews} />
              <AddPersonForm crews={crews} />
              <FirmTimeZone />
            </>
          ) : null}
        </div>
      </div>
    </>
  )
}
