import { textId, type TextId, type Texts } from '../texts'
import type { CheckWords, Show } from './checks'
import type { Check } from '@/core/filter/checks'
import type { Clash } from '@/core/site-plan/evaluate-site-plan'

export type SitePlanCheck =
  'site-clearances' | 'site-levels' | 'site-stream' | 'site-access' | 'site-supply' | 'site-skimmers'

const PARTS = {
  bed: textId('sitePlan.parts.bed'),
  pipe: textId('sitePlan.parts.pipe'),
  stream: textId('sitePlan.parts.stream'),
} as const satisfies Record<Clash['part'], TextId>

const OTHERS = {
  pond: textId('sitePlan.others.pond'),
  building: textId('sitePlan.others.building'),
  wall: textId('sitePlan.others.wall'),
  fence: textId('sitePlan.others.fence'),
  property: textId('sitePlan.others.property'),
  service: textId('sitePlan.others.service'),
  tree: textId('sitePlan.others.tree'),
} as const satisfies Record<Clash['with'], TextId>

/** Checks of where things stand: obstacles, levels, access, electricity, wind. */
export function sitePlanCheckWords(id: SitePlanCheck, check: Check, show: Show, t: Texts): CheckWords {
  const { figure, limit, also } = check
  const length = (m: number) => show(m, 'length')
  switch (id) {
    case 'site-clearances':
      return {
        title: t('sitePlan.checks.clearances'),
        figure:
          Number(also.clashes) === 0
            ? t('sitePlan.checks.clearancesNone')
            : t('sitePlan.checks.clearancesFigure', {
                part: t(PARTS[also.part as Clash['part']]),
                other: t(OTHERS[also.other as Clash['with']]),
                apart: length(figure),
                needed: length(limit),
                more: Number(also.clashes) - 1,
                crosses: figure === 0 ? 'yes' : 'no',
              }),
        reason: t('sitePlan.checks.clearancesReason'),
        remedy: t('sitePlan.checks.clearancesRemedy'),
      }
    case 'site-levels':
      return {
        title: t('sitePlan.checks.levels'),
        figure: t('sitePlan.checks.levelsFigure', {
          water: length(figure),
          design: length(limit),
          slope: length(Number(also.slope)),
        }),
        reason: t('sitePlan.checks.levelsReason'),
        remedy: t('sitePlan.checks.levelsRemedy'),
      }
    case 'site-stream':
      return {
        title: t('sitePlan.checks.stream'),
        figure: t('sitePlan.checks.streamFigure', {
          left: length(figure),
          needed: length(limit),
          drops: length(Number(also.drops)),
          lift: length(Number(also.lift)),
        }),
        reason: t('sitePlan.checks.streamReason', { volume: show(Number(also.volume), 'volume') }),
        remedy: t('sitePlan.checks.streamRemedy'),
      }
    case 'site-access':
      return {
        title: t('sitePlan.checks.access'),
        figure: t('sitePlan.checks.accessFigure', { width: length(figure), haul: length(Number(also.haul)) }),
        reason: t('sitePlan.checks.accessReason', {
          digger: length(limit),
          barrow: length(Number(also.barrow)),
          spoil: show(Number(also.spoil), 'volume'),
        }),
        remedy: t('sitePlan.checks.accessRemedy'),
      }
    case 'site-supply':
      return {
        title: t('sitePlan.checks.supply'),
        figure: t('sitePlan.checks.supplyFigure', { figure: length(figure), limit: length(limit) }),
        reason: t('sitePlan.checks.supplyReason', { cable: length(Number(also.cable)) }),
        remedy: t('sitePlan.checks.supplyRemedy'),
      }
    case 'site-skimmers':
      return {
        title: t('sitePlan.checks.skimmers'),
        figure: t('sitePlan.checks.skimmersFigure', { figure }),
        reason: t('sitePlan.checks.skimmersReason'),
        remedy: t('sitePlan.checks.skimmersRemedy'),
      }
  }
}
