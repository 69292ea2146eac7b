'use client'
import type { FilterDesign } from '@/core/filter/design-input'
import { outageRules } from '@/core/filter/train/outage'
import { outageWords } from '@/messages/design/outage-words'
import { useTexts } from '@/ui/kit/texts'

/** What this design asks for when the water has stood still. */
export function OutageTable({ design, wetShare }: { readonly design: FilterDesign; readonly wetShare: number }) {
  const t = useTexts()
  const rules = outageRules(design, wetShare)
  if (rules.length === 0) return null
  return (
    <section className="sheet" aria-label={t('train.outage.title')}>
      <h2>{t('train.outage.title')}</h2>
      <p className="soft">{t('train.outage.note')}</p>
      <div className="table-responsive">
        <table className="table table-sm mb-0">
          <thead>
            <tr>
              <th scope="col">{t('train.outage.part')}</th>
              <th scope="col">{t('train.outage.after')}</th>
              <th scope="col">{t('train.outage.act')}</th>
            </tr>
          </thead>
          <tbody>
            {rules.map((rule) => {
              const [part, after, act] = outageWords(rule, t)
              return (
                <tr key={`${rule.part} ${rule.act}`}>
                  <th scope="row">{part}</th>
                  <td>{after}</td>
                  <td>{act}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </section>
  )
}
