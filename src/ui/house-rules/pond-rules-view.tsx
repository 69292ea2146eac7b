'use client'
import { useState } from 'react'
import type { OwnConstants } from '@/domain/house-rules/house-constants'
import type { HouseRules } from '@/domain/house-rules/house-rules'
import type { PondInContext } from '@/domain/ponds/pond'
import { OwnRulesForm } from './own-rules-form'
import { PondConstants } from './pond-constants'

interface PondRulesViewProps {
  readonly pond: PondInContext
  readonly house: HouseRules
  readonly houseConstants: OwnConstants
}

/** Where a pond goes another way than the house: in its rules and in the figures its filter is worked out by. */
export function PondRulesView({ pond, house, houseConstants }: PondRulesViewProps) {
  // both forms keep parts of the same pond: what one saved is no stranger's work to the other
  const [seenVersion, setSeenVersion] = useState(pond.version)
  const saving = { version: seenVersion, onSaved: () => setSeenVersion(seenVersion + 1) }
  return (
    <>
      <OwnRulesForm pond={pond} house={house} {...saving} />
      <PondConstants pond={pond} house={houseConstants} {...saving} />
    </>
  )
}
