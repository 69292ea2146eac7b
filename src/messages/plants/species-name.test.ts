import { PLANT_SPECIES } from '@/core/plants/species'
import { en } from '../en'
import { textsIn } from '../texts'
import { speciesByName, speciesName } from './species-name'

const t = textsIn('en')

describe('names of plants', () => {
  it('are there for every species, and for no other', () =>
    expect(Object.keys(en.plants.speciesNames).sort()).toEqual(PLANT_SPECIES.map(({ key }) => key).sort()))
  it('are chosen from in the order of the alphabet', () => {
    const names = speciesByName(t).map(({ common }) => common)
    expect(names).toHaveLength(PLANT_SPECIES.length)
    expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)))
  })
  it('of a plant that is none is its key', () => expect(speciesName('gone-plant', t)).toBe('gone-plant'))
})
