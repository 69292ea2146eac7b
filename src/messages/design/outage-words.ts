import type { OutageRule } from '@/core/filter/train/outage'
import type { Texts } from '../texts'

/** A rule for after a power cut in words: part, when, what to do. */
export const outageWords = ({ part, act, afterH }: OutageRule, t: Texts): [string, string, string] => [
  part === 'pump' || part === 'bed' ? t(`train.outage.${part}`) : t(`design.trainNames.${part}`),
  afterH === 0 ? t('train.outage.atOnce') : t('train.outage.afterHours', { hours: afterH }),
  t(`train.acts.${act}`),
]
