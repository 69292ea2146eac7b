'use client'
import { useTexts } from '@/ui/kit/texts'
import type { FishSpeciesKey } from '@/core/fish/species'
import { QuantityField } from '@/ui/kit/quantity-field'
import type { StepAtHand } from './use-step-card'

/** The fish of the pond by kind, counted, and what was lost. */
export function StepFish({ card: { draft, change } }: { card: StepAtHand }) {
  const t = useTexts()
  return (
    <>
      {(Object.keys(draft.fish) as FishSpeciesKey[]).map((species) => (
        <QuantityField
          key={species}
          large
          label={t(`ponds.fishNames.${species}`)}
          kind="number"
          value={draft.fish[species] ?? null}
          onChange={(v) => change({ fish: { ...draft.fish, [species]: v } })}
        />
      ))}
      {Object.keys(draft.fish).length === 0 ? <p className="soft">{t('field.stepCard.noFishNotedPond')}</p> : null}
      <QuantityField
        large
        label={t('field.stepCard.lost')}
        kind="number"
        value={draft.losses}
        onChange={(losses) => change({ losses })}
        optional
      />
    </>
  )
}
