'use client'
import { regionOf } from '@/domain/shared/region'
import { RegionProvider, type TextId, textId, useTexts } from '@/ui/kit/texts'
import { useEffect, useMemo, useState } from 'react'
import { PersonProvider } from '@/ui/person-context'
import { isFull, keepLine, openVisit } from './device/field-device'
import { deviceDb } from './device/sync-now'
import { useLive } from './device/use-live'
import { FieldBar } from './field-bar'
import { FieldProvider, type Field } from './field-context'
import { FieldDay } from './field-day'
import { goTo, useFieldPlace } from './use-field-place'
import { useProgram } from './use-program'
import { useFieldTheme } from './use-field-theme'
import { useSync } from './use-sync'
import { useViews } from './use-views'
import { othersAtStop } from './stop-ponds'
import { VisitSheet } from './visit-sheet'

/** The field sheet: works from what this device keeps, with or without signal. */
export function FieldApp() {
  const t = useTexts()

  const { visitId } = useFieldPlace()
  const { outcome, busy, sync } = useSync()
  const facts = useLive(async () => (await deviceDb().facts.get('device')) ?? null, 'facts')
  const views = useViews(facts?.person.name ?? '', facts?.clockOffsetMs ?? 0)
  const [full, setFull] = useState(false)
  const [theme, nextTheme] = useFieldTheme(facts?.person.preferences.theme)
  const view = visitId ? views?.find((v) => v.visit.id === visitId) : undefined
  const missing = useOpened(visitId, facts != null && views !== undefined && view === undefined)

  useEffect(() => {
    // what the device keeps is not cleared away for room
    void navigator.storage?.persist?.()
  }, [])
  useProgram()

  const field = useMemo<Field | null>(
    () =>
      facts
        ? {
            person: facts.person,
            today: facts.today,
            products: facts.products,
            clockOffsetMs: facts.clockOffsetMs ?? 0,
            sync,
            log: async (id, entry) => {
              try {
                await keepLine(facts.person.userId, id, entry)
                setFull(false)
              } catch (error) {
                // what was typed stays in its form: said aloud, it can be kept once there is room
                setFull(isFull(error))
                throw error
              }
              void sync()
            },
          }
        : null,
    [facts, sync],
  )
  if (facts === undefined || views === undefined || (facts === null && outcome === null))
    return <p className="field-page soft p-3">{t('field.fieldApp.lookingWhatDeviceKeeps')}</p>
  if (facts === null || !field) return <Nothing why={outcome!} />
  // devices that were last seen before it could be chosen know none
  const chosen = facts.person.preferences.region ?? 'system'
  const region = chosen === 'system' ? regionOf(navigator.language) : chosen
  const page = () => {
    if (visitId === null) return <FieldDay views={views} today={facts.today} />
    if (view) return <VisitSheet key={visitId} view={view} others={othersAtStop(view, views)} />
    return <Absent missing={missing} />
  }
  return (
    <RegionProvider region={region}>
      <PersonProvider person={facts.person}>
        <FieldProvider value={field}>
          <FieldBar
            views={views}
            outcome={outcome}
            busy={busy}
            heardAt={facts.heardAt}
            theme={theme}
            onTheme={nextTheme}
            full={full}
            clockOffsetMs={facts.clockOffsetMs ?? 0}
          />
          <main id="main" className="field-page">
            {page()}
          </main>
        </FieldProvider>
      </PersonProvider>
    </RegionProvider>
  )
}

/** Asks for a visit that is not among the rounds. @returns why it cannot be shown, null while it is asked for */
function useOpened(visitId: string | null, wanted: boolean): string | null {
  const [missing, setMissing] = useState<{ id: string; why: string } | null>(null)
  useEffect(() => {
    if (!wanted || !visitId) return
    let current = true
    void openVisit(visitId).then((why) => current && why && setMissing({ id: visitId, why }))
    return () => {
      current = false
    }
  }, [visitId, wanted])
  return missing?.id === visitId ? missing.why : null
}

function Absent({ missing }: { missing: string | null }) {
  const t = useTexts()

  return (
    <section className="sheet">
      <p>
        {missing === null
          ? t('field.fieldApp.askingOfficeVisit')
          : t(ABSENT_WORDS[missing] ?? textId('field.fieldApp.signAgainSeeVisit'))}
      </p>
      <button type="button" className="btn btn-outline-primary" onClick={() => goTo('/field')}>
        {t('field.fieldApp.daysStops')}
      </button>
    </section>
  )
}

const ABSENT_WORDS: Readonly<Record<string, TextId>> = {
  'no-signal': textId('field.fieldApp.visitNotDeviceThere'),
  'not-found': textId('field.fieldApp.visitNotHereMay'),
  'other-version': textId('field.fieldApp.reloadForVersion'),
}

const NOTHING_WORDS: Readonly<Record<string, TextId>> = {
  'no-signal': textId('field.fieldApp.deviceKeepsNoRounds'),
  'shut-out': textId('field.fieldApp.deviceHasBeenShut'),
  'other-version': textId('field.fieldApp.reloadForVersion'),
}

function Nothing({ why }: { why: string }) {
  const t = useTexts()

  return (
    <main id="main" className="field-page">
      <section className="sheet">
        <h1 className="fs-3">{t('field.fieldApp.fieldSheet')}</h1>
        <p>{why in NOTHING_WORDS ? t(NOTHING_WORDS[why]!) : t('field.fieldApp.signSeeYourRounds')}</p>
        {why === 'no-signal' || why === 'other-version' ? null : (
          <a className="btn btn-primary" href="/sign-in">
            {t('field.fieldApp.sign')}
          </a>
        )}
      </section>
    </main>
  )
}
