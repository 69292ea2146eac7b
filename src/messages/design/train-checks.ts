import { formatNumber } from '@/core/units/format'
import { textId, type TextId, type Texts } from '../texts'
import type { CheckWords, Show } from './checks'
import type { Check } from '@/core/filter/checks'
import type { Misplaced } from '@/core/filter/train/order'
import type { TrainKind } from '@/core/filter/train/train-unit'

export type TrainCheck =
  'train-flow' | 'train-order' | 'intake-level' | 'uv-dose' | 'heater-flow' | 'wash-water' | 'train-reach'

const ORDER_REASONS = {
  'coarse-first': textId('train.checks.order-coarse-first'),
  'solids-first': textId('train.checks.order-solids-first'),
  'lamp-after-screens': textId('train.checks.order-lamp-after-screens'),
  'open-last': textId('train.checks.order-open-last'),
  none: textId('train.checks.order-none'),
} as const satisfies Record<Misplaced['why'] | 'none', TextId>

const mj = (dose: number): string => formatNumber(Number(dose.toPrecision(2)))

/** Checks of the filter train. */
export function trainCheckWords(id: TrainCheck, check: Check, show: Show, t: Texts): CheckWords {
  const { figure, limit, also } = check
  const flow = (m3PerH: number | string) => show(Number(m3PerH), 'flow')
  const small = (m: number) => show(m, 'length', { scale: 'small' })
  const name = (kind: number | string | undefined) => t(`design.trainNames.${kind as TrainKind}`)
  switch (id) {
    case 'train-flow':
      return {
        title: t('train.checks.flow'),
        figure: flowFigure(check, flow, name, show, t),
        reason: t('train.checks.flowReason'),
        remedy: t('train.checks.flowRemedy'),
      }
    case 'train-order':
      return {
        title: t('train.checks.order'),
        figure:
          figure > 0
            ? t('train.checks.orderWrong', { first: name(also.first), next: name(also.then) })
            : t('train.checks.orderFine'),
        reason: t(ORDER_REASONS[also.why as keyof typeof ORDER_REASONS]),
        remedy: t('train.checks.orderRemedy'),
      }
    case 'intake-level':
      return {
        title: t('train.checks.level'),
        figure: t('train.checks.levelFigure', { drop: small(figure), flow: flow(also.flow!) }),
        reason: t('train.checks.levelReason'),
        remedy: t('train.checks.levelRemedy'),
      }
    case 'uv-dose':
      return {
        title: t('train.checks.dose'),
        figure: t('train.checks.doseFigure', { aged: mj(figure), wanted: mj(limit), flow: flow(also.flow!) }),
        reason: t('train.checks.doseReason', { fresh: mj(Number(also.fresh)) }),
        remedy: t('train.checks.doseRemedy'),
      }
    case 'heater-flow':
      return {
        title: t('train.checks.heater'),
        figure: heaterFigure(check, flow, t),
        reason: t('train.checks.heaterReason'),
        remedy: t('train.checks.heaterRemedy'),
      }
    case 'wash-water':
      return {
        title: t('train.checks.wash'),
        figure: t('train.checks.washFigure', {
          volume: show(figure, 'volume'),
          share: show(Number(also.share), 'share'),
        }),
        reason: t('train.checks.washReason'),
        remedy: t('train.checks.washRemedy'),
      }
    case 'train-reach':
      return {
        title: t('train.checks.reach'),
        figure: reachFigure(check, small, name, t),
        reason: t('train.checks.reachReason'),
        remedy: t('train.checks.reachRemedy'),
      }
  }
}

type Name = (kind: number | string | undefined) => string
type Write = (value: number) => string

function flowFigure({ figure, limit, also }: Check, flow: Write, name: Name, show: Show, t: Texts): string {
  if (also.problem === 'dry')
    return t('train.checks.flowDry', {
      share: show(figure, 'share'),
      kind: name(also.kind),
      flow: flow(Number(also.flow)),
    })
  const given = { kind: name(also.kind), flow: flow(figure), limit: flow(limit) }
  return also.problem === 'over'
    ? t('train.checks.flowOver', { ...given, more: Number(also.count) - 1 })
    : t('train.checks.flowFine', given)
}

function heaterFigure({ figure, limit, also }: Check, flow: Write, t: Texts): string {
  if (also.heated === 'no') return t('train.checks.heaterIdle')
  if (also.fitted === 'no') return t('train.checks.heaterMissing', { needed: flow(limit) })
  return t('train.checks.heaterFigure', { flow: flow(figure), needed: flow(limit) })
}

function reachFigure({ verdict, figure, limit, also }: Check, small: Write, name: Name, t: Texts): string {
  if (verdict === 'pass') return t('train.checks.reachFine')
  const [short, unseen] = [Number(also.short), Number(also.unseen)]
  return unseen === short
    ? t('train.checks.reachUnseen', { count: unseen, kind: name(also.kind), needed: small(limit) })
    : t('train.checks.reachShort', {
        kind: name(also.kind),
        space: small(figure),
        needed: small(limit),
        more: short - 1,
      })
}
