'use client'
import { useTexts } from '@/ui/kit/texts'
/** What a season earned: none to three reeds. */
export function Stars({ stars }: { stars: number }) {
  const t = useTexts()

  return (
    <svg
      className="stars"
      width="54"
      height="34"
      viewBox="0 0 54 34"
      role="img"
      aria-label={
        stars === 1
          ? t('trainer.stars.oneReed')
          : t('trainer.stars.stars', { stars: ['no', '', 'two', 'three'][stars]! })
      }
    >
      {[0, 1, 2].map((i) => (
        <g key={i} transform={`translate(${4 + i * 17} 0)`} className={i < stars ? 'earned' : undefined}>
          <path d="M8 33V10" strokeWidth="1.8" />
          <path d="M8 30C3 26 2 20 2 16M8 28c5-3 6-8 6-13" fill="none" strokeWidth="1.8" />
          <rect x="5.6" y="2" width="4.8" height="11" rx="2.4" />
        </g>
      ))}
    </svg>
  )
}
