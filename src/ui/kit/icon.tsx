import { ICON_LINES } from './icon-lines'
import type { IconName } from './icon-names'

/** An icon beside a word; it is silent, the word says what it means. */
export function Icon({ name, className = '' }: { name: IconName; className?: string }) {
  return (
    <svg className={`icon ${className}`} viewBox="0 0 16 16" aria-hidden="true" focusable="false">
      {ICON_LINES[name].map(({ d, evenOdd }) => (
        <path key={d} d={d} fillRule={evenOdd && 'evenodd'} />
      ))}
    </svg>
  )
}
