import { z } from 'zod'
import { FISH_RANGE, fishLoad } from '../core/fish/load'
import { FISH_SPECIES_KEYS } from '../core/fish/species'
import { defineCalculation, numberIn, protein } from './define'

export const FISH_CALCULATIONS = [
  defineCalculation({
    name: 'fish.load',
    summary: 'Mass of a stock, its feed at a water temperature and the ammonia it gives off',
    input: z.strictObject({
      fish: z
        .array(
          z.strictObject({
            species: z.enum(FISH_SPECIES_KEYS),
            count: numberIn(FISH_RANGE.count),
            length_m: numberIn(FISH_RANGE.lengthM),
          }),
        )
        .max(200),
      temp_C: numberIn(FISH_RANGE.tempC),
      protein,
    }),
    output: z.object({ mass_kg: z.number(), feed_g_d: z.number(), tan_g_d: z.number() }),
    run: (input) => {
      const load = fishLoad(
        input.fish.map((f) => ({ species: f.species, count: f.count, lengthM: f.length_m })),
        input.temp_C,
        input.protein,
      )
      return { mass_kg: load.massKg, feed_g_d: load.feedGPerD, tan_g_d: load.tanGPerD }
    },
  }),
]
