'use client'
import { useTexts } from '@/ui/kit/texts'
import { Quantity } from './survey-quantity'

/** What loads the water beside its own fish: visitors' feed, bathers, animals. */
export function GuestFields() {
  const t = useTexts()
  return (
    <fieldset>
      <legend>{t('survey.guestFields.legend')}</legend>
      <p className="soft small mb-1">{t('survey.guestFields.leaveEmpty')}</p>
      <div className="field-grid">
        <Quantity name="guests.publicFeedKg" label={t('survey.guestFields.publicFeed')} kind="mass" scale="small" />
        <Quantity name="guests.bathersPerD" label={t('survey.guestFields.bathers')} kind="number" />
        <Quantity name="guests.ducks" label={t('survey.guestFields.ducks')} kind="number" />
        <Quantity name="guests.turtles" label={t('survey.guestFields.turtles')} kind="number" />
      </div>
    </fieldset>
  )
}
