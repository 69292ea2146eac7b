import { z } from 'zod'
import { DEFAULT_LAYERS } from '../../core/filter/bed/layers'
import type { FilterDesign } from '../../core/filter/design-input'
import { failure, success, type Result } from '../../core/result'
import { FilterDesignInput } from './design'
import type { TrainKind } from '../../core/filter/train/train-unit'
import { UNIT_FACTS } from '../../core/filter/train/unit-facts'
import { RECTANGLE } from '../../core/filter/bed/bed-shape'
import { shortText } from '../shared/fields'
import { said, type Said } from '../shared/said'

/** Number of the file's layout; raised whenever an older reader could misread a newer file. */
export const DESIGN_FORMAT = 7

/** A design as a file: what another firm, or this one in ten years, can read back without loss. */
export const DesignFile = z.strictObject({
  format: z.literal(DESIGN_FORMAT),
  kind: z.literal('pond-filter-design'),
  name: shortText('design.fields.versionName', 60),
  design: FilterDesignInput,
})
export type DesignFile = z.infer<typeof DesignFile>

export type DesignFileProblem = {
  readonly code: 'not-json' | 'not-a-design' | 'from-the-future' | 'bad-field'
  readonly message: Said
  readonly path: string
}

const refuse = (code: DesignFileProblem['code'], message: Said, path = ''): Result<DesignFile, DesignFileProblem> =>
  failure({ code, message, path })

/** Reads a design file of this or an earlier format; says what is wrong and where otherwise. */
export function readDesignFile(text: string): Result<DesignFile, DesignFileProblem> {
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    return refuse('not-json', said('design.problems.fileJsonChooseDesignFile'))
  }
  const head = z
    .object({ format: z.int().min(1), kind: z.literal('pond-filter-design'), name: z.unknown(), design: z.unknown() })
    .safeParse(raw)
  if (!head.success) return refuse('not-a-design', said('design.problems.fileFilterDesign'))
  if (head.data.format > DESIGN_FORMAT)
    return refuse(
      'from-the-future',
      said('design.problems.designFormatProgramReadsUp', { format: head.data.format, designFormat: DESIGN_FORMAT }),
      'format',
    )
  const file = DesignFile.safeParse({ ...head.data, format: DESIGN_FORMAT, design: upgradeDesign(head.data.design) })
  if (file.success) return success(file.data)
  const [issue] = file.error.issues
  return refuse(
    'bad-field',
    said('kit.problems.atColumn', { column: issue!.path.join('.'), problem: { said: issue!.message } }),
    issue!.path.join('.'),
  )
}

/** Pumps whose family got a name of its own. */
const RENAMED_PUMPS: Readonly<Record<string, string>> = { P24: 'S24', P36: 'S36', P60: 'D60', P100: 'D100' }

/** Up to the fourth format a bed was a rectangle or round, and stood nowhere in particular. */
const SINCE_FORMAT_4 = { shape: RECTANGLE, layout: null } as const

/** Up to the fifth format equipment stood beside the bed, and nothing ran to it by gravity. */
const SINCE_FORMAT_5 = { intakePipe: null } as const

/** What the first format did not ask for: an upflow bed in the ground, one pump, falls into the pond. */
const SINCE_FORMAT_1 = {
  type: 'lined-wetland',
  vessels: 1,
  round: false,
  layers: DEFAULT_LAYERS,
  waterOverGravelM: 0,
  raisedM: 0,
  stand: 'ground',
  feed: 'slotted-pipe',
  vault: { diameterM: 0.4, atLowPoint: true, valveInReach: true, dischargeM: 8 },
  pumpSet: { arrangement: 'single', count: 1, speed: 1 },
  bypassShare: 0,
  outlet: { count: 1, diameterM: 0.115, lengthM: 1.5, dropM: 0.06 },
  falls: null,
  checkValve: false,
  train: [],
  network: null,
  planting: [],
  winter: 'runs',
  weeklyExchange: 0,
  heatToC: null,
  northDeg: 0,
  ...SINCE_FORMAT_4,
  ...SINCE_FORMAT_5,
  confirmed: [],
} as const

/** Up to the third format a bed had one distribution pipe. */
const withLaterals = (manifold: unknown): unknown =>
  typeof manifold === 'object' && manifold !== null ? { laterals: 1, ...manifold } : manifold

/** Lamp of a clarifier that was given by its flow alone, W for each m³/h. */
const LAMP_W_PER_M3_PER_H = 7.5
const TOWER_M = 1.2

/** Equipment of the fifth format as units of a train: each where its kind usually stands. */
function withTrain({ companions, ...design }: Record<string, unknown>): unknown {
  if (!Array.isArray(companions)) return design
  return {
    ...design,
    train: companions.map((unit: { kind: TrainKind; ratedFlowM3PerH: number }) => {
      const facts = UNIT_FACTS[unit.kind]
      return facts === undefined
        ? unit
        : {
            ...unit,
            line: facts.lines[0],
            heightM: unit.kind === 'trickle-tower' ? TOWER_M : 0,
            meshUm: facts.meshUm,
            lampW: unit.kind === 'uv' ? Math.round(unit.ratedFlowM3PerH * LAMP_W_PER_M3_PER_H) : 0,
            overflow: false,
            clearanceM: null,
          }
    }),
  }
}

/** Up to the sixth format a dry-mounted pump's suction was a bore; its line is taken to be a usual one. */
const USUAL_SUCTION = { lengthM: 2, liftM: 0, footValve: true } as const

function withSuction(design: unknown): unknown {
  if (typeof design !== 'object' || design === null || !('suctionDiameterM' in design))
    return typeof design === 'object' && design !== null ? { suction: null, ...design } : design
  const { suctionDiameterM: diameterM, ...rest } = design
  return { ...rest, suction: diameterM === null ? null : { ...USUAL_SUCTION, diameterM } }
}

/** A design of any earlier format in today's; anything else is left as it is for the schema to judge. */
export const upgradeDesign = (raw: unknown): unknown => withSuction(toFormat6(raw))

function toFormat6(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null) return raw
  // up to the second format the sizing method had another name
  const { school, ...rest } = raw as Record<string, unknown>
  const named = school === undefined ? rest : { sizingMethod: school, ...rest }
  // heating came later within the second format: a design without the word is unheated
  if ('type' in named)
    return withTrain({
      heatToC: null,
      weeklyExchange: 0,
      ...SINCE_FORMAT_4,
      ...SINCE_FORMAT_5,
      ...named,
      manifold: withLaterals(named.manifold),
    })
  const old = named as Record<string, unknown> & {
    manifold?: object
    delivery?: Record<string, unknown>
    pumpId?: string
  }
  const { fittingsK, ...delivery } = old.delivery ?? {}
  return {
    ...SINCE_FORMAT_1,
    ...old,
    manifold: { pitchPercent: 2, laterals: 1, ...old.manifold },
    delivery: { flexible: false, fittings: {}, otherK: fittingsK ?? 0, ...delivery },
    pumpId: RENAMED_PUMPS[old.pumpId ?? ''] ?? old.pumpId,
  }
}

/** A design that was kept by this program, in whichever format it was then. */
export const keptDesign = (raw: unknown): FilterDesign => upgradeDesign(raw) as FilterDesign
