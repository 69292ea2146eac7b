import type { CrewId, FirmId, UserId } from '@/domain/shared/ids'
import type { Preferences } from '@/domain/people/people'
import { ProblemError } from '@/domain/shared/problems'
import { may, type Right, type Role } from '@/domain/people/roles'
import { said } from '@/domain/shared/said'

/** The signed-in person that a request acts for. */
export interface Actor {
  readonly userId: UserId
  readonly firmId: FirmId
  readonly firmName: string
  readonly timeZone: string
  readonly name: string
  readonly email: string
  readonly role: Role
  readonly crewId: CrewId | null
  readonly preferences: Preferences
}

/** @throws {ProblemError} 'forbidden' when the role's row in the rights table lacks the right */
export function assertMay(actor: Actor, right: Right): void {
  if (!may(actor.role, right))
    throw new ProblemError({
      kind: 'forbidden',
      message: said('people.problems.mayNot', {
        role: { text: `people.roleNames.${actor.role}` },
        firm: actor.firmName,
      }),
    })
}
