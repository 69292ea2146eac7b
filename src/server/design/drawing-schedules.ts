import { suctionLines } from '@/core/filter/flow/suction'
import type { DesignResult } from '@/core/filter/design'
import type { FilterDesign } from '@/core/filter/design-input'
import { levelsOf, type Levels } from '@/core/filter/levels'
import type { SheetWords } from '@/core/drawing/sheet'
import { outageRules } from '@/core/filter/train/outage'
import { UNIT_FACTS } from '@/core/filter/train/unit-facts'
import { outageWords } from '@/messages/design/outage-words'
import { unitSizeWords } from '@/messages/design/unit-size-words'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import type { PondGround } from '@/core/site-plan/pond-ground'
import { tieInTable } from '@/core/site-plan/tie-in'
import { SIDE_NAMES, TIE_IN_NAMES } from '@/messages/design/tie-in-names'
import { speciesName } from '@/messages/plants/species-name'
import { textId, type TextId, type Texts } from '@/messages/texts'

/** A table on the last sheet of a drawing set. */
export interface ScheduleTable {
  readonly title: string
  readonly heads: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

interface ScheduleInput {
  readonly design: FilterDesign
  readonly result: DesignResult
  readonly ground: PondGround | null
  readonly length: (m: number) => string
  readonly flow: (m3PerH: number) => string
  readonly words: Pick<SheetWords, 'level'>
  readonly t: Texts
}

const LEVEL_NAMES = {
  bedWaterM: textId('sitePlan.levels.bedWater'),
  stoneTopM: textId('sitePlan.levels.stoneTop'),
  bedBaseM: textId('sitePlan.levels.bedBase'),
  groundM: textId('sitePlan.levels.ground'),
  lipM: textId('sitePlan.levels.lip'),
  fallsFootM: textId('sitePlan.levels.fallsFoot'),
  returnEndM: textId('sitePlan.levels.returnEnd'),
  airBreakM: textId('sitePlan.levels.airBreak'),
} as const satisfies Record<keyof Levels, TextId>

/** Pipes, levels, plants and set-out of a design, each left out where there is nothing to list. */
export function scheduleRows(input: ScheduleInput): ScheduleTable[] {
  return [
    pipeTable(input),
    trainTable(input),
    levelTable(input),
    plantTable(input),
    tieIn(input),
    outageTable(input),
  ].filter(({ rows }) => rows.length > 0)
}

function pipeTable({ design, length, t }: ScheduleInput): ScheduleTable {
  const facts = FILTER_TYPE_FACTS[design.type]
  const { delivery, manifold, outlet, network } = design
  const row = (name: TextId, boreM: number, lengthM: number, count: number): string[] => [
    t(name),
    length(boreM),
    length(Number(lengthM.toFixed(3))),
    String(count),
  ]
  const hasBed = design.type !== 'none'
  return {
    title: t('sitePlan.schedule.pipes'),
    heads: [
      t('sitePlan.schedule.pipe'),
      t('sitePlan.schedule.bore'),
      t('sitePlan.schedule.length'),
      t('sitePlan.schedule.count'),
    ],
    rows: [
      ...(design.pumpId === null
        ? []
        : [row(textId('sitePlan.schedule.delivery'), delivery.diameterM, delivery.lengthM, 1)]),
      ...(design.suction === null || design.pumpId === null
        ? []
        : [
            row(
              textId('sitePlan.schedule.suction'),
              design.suction.diameterM,
              design.suction.lengthM,
              suctionLines(design),
            ),
          ]),
      ...(hasBed && design.feed !== 'chamber'
        ? [
            row(
              textId('sitePlan.schedule.distribution'),
              manifold.diameterM,
              facts.path === 'along' ? design.widthM : design.lengthM,
              manifold.laterals * design.vessels,
            ),
          ]
        : []),
      ...(facts.pipedOutlet
        ? [row(textId('sitePlan.schedule.return'), outlet.diameterM, outlet.lengthM, outlet.count)]
        : []),
      ...(network
        ? [...network.intakes, ...network.branches].map((run) =>
            row(textId('sitePlan.schedule.branch'), run.boreM, run.lengthM, 1),
          )
        : []),
    ],
  }
}

/** The train in its order, each unit with the line it stands in, its size, its flow and the space it wants. */
function trainTable({ result, length, flow, t }: ScheduleInput): ScheduleTable {
  return {
    title: t('train.page.title'),
    heads: [
      t('train.schedule.unit'),
      t('train.page.line'),
      t('train.schedule.size'),
      t('train.schedule.flow'),
      t('train.schedule.space'),
    ],
    rows: result.train.units.map(({ unit, size, flowM3PerH }) => [
      t(`design.trainNames.${unit.kind}`),
      t(`train.lines.${unit.line}`),
      unitSizeWords(unit.kind, size, { flow, t }),
      unit.line === 'pond' ? '' : flow(flowM3PerH),
      UNIT_FACTS[unit.kind].clearanceM > 0 ? length(UNIT_FACTS[unit.kind].clearanceM) : '',
    ]),
  }
}

/** What the crew and the customer do when the power comes back. */
function outageTable({ design, result, t }: ScheduleInput): ScheduleTable {
  return {
    title: t('train.outage.title'),
    heads: [t('train.outage.part'), t('train.outage.after'), t('train.outage.act')],
    rows: outageRules(design, result.stop.wetShare).map((rule) => outageWords(rule, t)),
  }
}

function levelTable({ design, words, t }: ScheduleInput): ScheduleTable {
  const levels = levelsOf(design)
  return {
    title: t('sitePlan.schedule.levels'),
    heads: [t('sitePlan.schedule.level'), t('sitePlan.schedule.overWaterline')],
    rows:
      design.type === 'none'
        ? []
        : (Object.keys(LEVEL_NAMES) as (keyof Levels)[]).flatMap((key) => {
            const m = levels[key]
            return m === null ? [] : [[t(LEVEL_NAMES[key]), words.level(m)]]
          }),
  }
}

function plantTable({ design, length, t }: ScheduleInput): ScheduleTable {
  return {
    title: t('sitePlan.schedule.planting'),
    heads: [
      t('sitePlan.schedule.plant'),
      t('sitePlan.schedule.count'),
      t('sitePlan.schedule.along'),
      t('sitePlan.schedule.across'),
    ],
    rows: design.planting.map((patch) => [
      speciesName(patch.species, t),
      String(patch.count),
      length(patch.xM),
      length(patch.yM),
    ]),
  }
}

function tieIn({ design, ground, length, t }: ScheduleInput): ScheduleTable {
  const rows = design.layout && ground ? tieInTable(design, design.layout, ground.outline, ground.survey) : []
  return {
    title: t('sitePlan.tieIn.title'),
    heads: [t('sitePlan.tieIn.point'), t('sitePlan.tieIn.fromA'), t('sitePlan.tieIn.fromB'), t('sitePlan.tieIn.side')],
    rows: rows.map((row) => [
      t('sitePlan.tieIn.numbered', { name: t(TIE_IN_NAMES[row.kind]), number: row.number }),
      length(Number(row.fromA.toFixed(3))),
      length(Number(row.fromB.toFixed(3))),
      t(SIDE_NAMES[row.side]),
    ]),
  }
}
