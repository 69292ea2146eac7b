import { expose } from 'comlink'
import { searchOptions, type OptionSearch } from '../core/filter/options/search'
import type { OptionProblem } from '../core/filter/options/option-problem'
import { seededRandom } from '../core/numeric/random'

/** The page is told of progress this often at most, ms. */
const TELL_EVERY_MS = 1000

/** Thousands of designs are worked through off the page's own thread. */
const api = {
  search(
    problem: OptionProblem,
    seed: number,
    evaluations: number,
    onProgress: (so: Omit<OptionSearch, 'status'>) => void,
  ): OptionSearch {
    let told = performance.now()
    return searchOptions(problem, {
      random: seededRandom(seed),
      evaluations,
      onProgress: (so) => {
        const now = performance.now()
        if (now - told < TELL_EVERY_MS) return
        told = now
        onProgress(so)
      },
    })
  },
}
export type OptionsWorker = typeof api

expose(api)
