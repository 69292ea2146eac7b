'use client'
import Link from 'next/link'
import { useState } from 'react'
import type { OwnConstants } from '@/domain/house-rules/house-constants'
import { may } from '@/domain/people/roles'
import { useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'
import { ConstantsForm } from './constants-form'

/** The figures that this firm's filters are worked out by. */
export function HouseConstantsView({ constants, version }: { constants: OwnConstants; version: number }) {
  const t = useTexts()
  const [seenVersion, setSeenVersion] = useState(version)
  const locked = !may(usePerson().role, 'houseRules.write')
  return (
    <>
      <div className="page-head">
        <h1>{t('houseRules.constants.title')}</h1>
        <span className="soft">{t(locked ? 'houseRules.constants.locked' : 'houseRules.constants.intro')}</span>
        <Link href="/house-rules" className="btn btn-sm btn-outline-secondary ms-auto">
          {t('houseRules.houseRulesForm.houseRules')}
        </Link>
      </div>
      <ConstantsForm
        own={constants}
        house={null}
        version={seenVersion}
        onSaved={() => setSeenVersion(seenVersion + 1)}
        url="/api/v1/house-constants"
        locked={locked}
      />
    </>
  )
}
