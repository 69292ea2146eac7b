import { longDate } from '@/domain/shared/dates'
import type { Texts } from '@/messages/texts'

interface Held<Active> {
  readonly active: Active
}

/**
 * What is spoken while a visit is carried along its ribbon: by names, never by ids. The days it passes are spoken with
 * what they would break, by the page's own note.
 */
export const seasonDragWords = <Active>(nameOf: (active: Active) => string, day: string | null, t: Texts) => ({
  onDragStart: ({ active }: Held<Active>) => t('season.drag.pickedUp', { visit: nameOf(active) }),
  onDragOver: () => undefined,
  onDragEnd: ({ active }: Held<Active>) =>
    day
      ? t('season.drag.putDown', { visit: nameOf(active), day: longDate(day) })
      : t('season.drag.stays', { visit: nameOf(active) }),
  onDragCancel: ({ active }: Held<Active>) => t('season.drag.stays', { visit: nameOf(active) }),
})
