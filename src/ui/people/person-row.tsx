'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import type { Crew, Person } from '@/domain/people/people'
import { ROLES, type Role } from '@/domain/people/roles'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send } from '@/ui/send'
import { useSave } from '@/ui/use-save'

/** One person, with what the owner may change of them. */
export function PersonRow({ person, crews, mayWrite }: { person: Person; crews: readonly Crew[]; mayWrite: boolean }) {
  const t = useTexts()

  const [editing, setEditing] = useState(false)
  const [role, setRole] = useState<Role>(person.role)
  const [crewId, setCrewId] = useState<string>(person.crewId ?? '')
  const { problem, ask } = useSave()
  const [link, setLink] = useState<string | null>(null)
  const act = async (method: 'PUT' | 'POST', path: string, body: object = {}) => {
    const answer = await ask(send<{ token?: string }>(method, `/api/v1/people/${person.id}${path}`, body))
    if (!answer) return
    if (answer.token) setLink(`${window.location.origin}/set-password/${answer.token}`)
    else setEditing(false)
  }
  return (
    <tr className={person.active ? undefined : 'soft'}>
      <td>
        {person.name} {person.active ? null : <span className="verdict look">{t('people.personRow.hasLeft')}</span>}
      </td>
      <td>{person.email}</td>
      <td>{t(`people.roleNames.${person.role}`)}</td>
      <td>{person.crewName ?? ''}</td>
      {mayWrite ? (
        <td>
          {editing ? (
            <div className="d-grid gap-1" style={{ minWidth: '13rem' }}>
              <ChoiceField
                label={t('people.personRow.role')}
                value={role}
                onChange={(e) => setRole(e.target.value as Role)}
                options={ROLES.map((one) => ({ value: one, label: t(`people.roleNames.${one}`) }))}
              />
              <ChoiceField
                label={t('people.personRow.crew')}
                value={crewId}
                onChange={(e) => setCrewId(e.target.value)}
                options={[
                  { value: '', label: t('people.personRow.none') },
                  ...crews.map((c) => ({ value: c.id as string, label: c.name })),
                ]}
              />
              <ProblemNote problem={problem} />
              <div className="d-flex flex-wrap gap-1">
                <button
                  type="button"
                  className="btn btn-sm btn-primary"
                  onClick={() => void act('PUT', '', { role, crewId: crewId || null })}
                >
                  {t('people.personRow.save')}
                </button>
                {person.active ? (
                  <>
                    <button
                      type="button"
                      className="btn btn-sm btn-outline-primary"
                      onClick={() => void act('POST', '/password-link')}
                    >
                      {t('people.personRow.passwordLink')}
                    </button>
                    <button
                      type="button"
                      className="btn btn-sm btn-outline-danger"
                      onClick={() => void act('POST', '/deactivate')}
                    >
                      {t('people.personRow.deactivate')}
                    </button>
                  </>
                ) : (
                  <button
                    type="button"
                    className="btn btn-sm btn-outline-primary"
                    onClick={() => void act('POST', '/reactivate')}
                  >
                    {t('people.personRow.reactivate')}
                  </button>
                )}
                <button type="button" className="btn btn-sm btn-link" onClick={() => setEditing(false)}>
                  {t('people.personRow.cancel')}
                </button>
              </div>
              {link ? (
                <p className="change-note small mb-0" role="status">
                  {t('people.personRow.givePrivateLinkShown', { name: person.name })} <a href={link}>{link}</a>
                </p>
              ) : null}
            </div>
          ) : (
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              aria-label={t('people.personRow.edit', { name: person.name })}
              onClick={() => setEditing(true)}
            >
              {t('people.personRow.edit2')}
            </button>
          )}
        </td>
      ) : null}
    </tr>
  )
}
