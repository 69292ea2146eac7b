'use client'
import { useMemo, useState } from 'react'
import type { CauseKey } from '@/core/diagnosis/causes'
import { diagnose } from '@/core/diagnosis/diagnose'
import {
  anythingWrong,
  FINDING_KEYS,
  FINDINGS,
  type FindingKey,
  type FindingKind,
  type Findings,
} from '@/core/diagnosis/findings'
import { allFindings } from '@/domain/diagnosis/diagnosis'
import type { DiagnosisData } from '@/server/diagnosis/diagnosis'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { Unfold } from '@/ui/kit/unfold'
import { Why } from '@/ui/kit/why'
import { CauseLine } from './cause-line'
import { FindingQuestion } from './finding-question'
import { NextQuestion } from './next-question'
import { RemedySheet } from './remedy-sheet'
import { SavedDiagnoses } from './saved-diagnoses'
import { SightTiles } from './sight-tiles'
import { ToldAnswers } from './told-answers'

const SHOWN = 5
const MIN_SHOWN = 0.02
const DANGERS_SHOWN = 3
/** Under this the first cause is a guess among others. */
const FAIRLY_SURE = 0.6
/** So many questions at most before it is said what to do. */
const ENOUGH = 8
const PARTS: readonly { readonly kind: FindingKind; readonly title: TextId }[] = [
  { kind: 'seen', title: textId('diagnosis.diagnosisView.whatSeen') },
  { kind: 'test', title: textId('diagnosis.diagnosisView.whatTested') },
  { kind: 'known', title: textId('diagnosis.diagnosisView.whatKnown') },
]

/** What was said here, what nobody could answer, and how many questions were asked one by one. */
function useAnswers() {
  const [told, setTold] = useState<Findings>({})
  const [skipped, setSkipped] = useState<readonly FindingKey[]>([])
  const [asked, setAsked] = useState(0)
  const [enough, setEnough] = useState(ENOUGH)
  const say = (key: FindingKey, found: boolean | undefined) =>
    setTold((before) => {
      const { [key]: _, ...rest } = before
      return found === undefined ? rest : { ...rest, [key]: found }
    })
  return {
    told,
    skipped,
    say,
    enoughAfter: asked >= enough ? asked : null,
    answer: (key: FindingKey, found: boolean) => {
      say(key, found)
      setAsked(asked + 1)
    },
    skip: (key: FindingKey) => {
      setSkipped([...skipped, key])
      setAsked(asked + 1)
    },
    askOn: () => setEnough(asked + 1),
    startAgain: () => {
      setTold({})
      setSkipped([])
      setAsked(0)
      setEnough(ENOUGH)
    },
  }
}

/** Names of causes in one line. */
const useNames = () => {
  const t = useTexts()
  return (causes: readonly CauseKey[]) => causes.map((cause) => t(`diagnosis.causeNames.${cause}`)).join(' · ')
}

/** What can kill and nothing has ruled out yet, the likeliest few. */
function NotRuledOut({ causes }: { causes: readonly CauseKey[] }) {
  const t = useTexts()

  const names = useNames()
  if (causes.length === 0) return null
  return (
    <p className="verdict look d-block text-start text-wrap mb-2">
      {t('diagnosis.diagnosisView.notRuledOut', { causes: names(causes.slice(0, DANGERS_SHOWN)) })}
    </p>
  )
}

/** Causes that are probably at work beside one another. */
function Together({ causes }: { causes: readonly CauseKey[] }) {
  const t = useTexts()

  const names = useNames()
  if (causes.length === 0) return null
  return (
    <p className="mb-2">
      <strong>{t('diagnosis.diagnosisView.severalAtOnce')}</strong> {names(causes)}
    </p>
  )
}

/** What is wrong with this water: pictures of what is seen, then one question at a time, beside the causes. */
export function DiagnosisView({ data }: { data: DiagnosisData }) {
  const t = useTexts()

  const answers = useAnswers()
  const { told, skipped, say } = answers
  const [chosen, setChosen] = useState<CauseKey | null>(null)
  const findings = useMemo(() => allFindings(data.known, told), [data.known, told])
  const { ranked, together, notRuledOut, next } = useMemo(() => diagnose(findings, skipped), [findings, skipped])
  const wrong = anythingWrong(findings)
  const likely = ranked.filter((r, i) => i < SHOWN && r.explains && r.likelihood >= MIN_SHOWN)
  const cause = chosen ?? ranked[0]!.cause
  return (
    <>
      <div className="tab-head">
        <h2>{t('diagnosis.diagnosisView.whatWrong')}</h2>
        <span className="soft">{t('diagnosis.diagnosisView.sayWhatYouSee')}</span>
      </div>
      <div className="diagnosis">
        <div className="questions">
          <SightTiles findings={findings} onFile={(key) => data.known[key]?.found === true} onSay={say} />
          {wrong ? (
            <NextQuestion
              finding={next?.finding ?? null}
              enoughAfter={answers.enoughAfter}
              onAnswer={(found) => answers.answer(next!.finding, found)}
              onSkip={() => answers.skip(next!.finding)}
              onAskOn={answers.askOn}
            />
          ) : null}
          <ToldAnswers told={told} onTakeBack={(key) => say(key, undefined)} onStartAgain={answers.startAgain} />
          <Unfold label={t('diagnosis.diagnosisView.allQuestions')}>
            {PARTS.map(({ kind, title }) => (
              <section key={kind} className="sheet mt-2" aria-label={t(title)}>
                <h2>{t(title)}</h2>
                {FINDING_KEYS.filter((key) => FINDINGS[key].kind === kind).map((key) => (
                  <FindingQuestion
                    key={key}
                    finding={key}
                    told={told[key]}
                    known={data.known[key]}
                    onSay={(found) => say(key, found)}
                  />
                ))}
              </section>
            ))}
          </Unfold>
        </div>
        <div className="causes">
          <section className="sheet" aria-label={t('diagnosis.diagnosisView.likelyCauses')}>
            <h2>{t('diagnosis.diagnosisView.likelyCauses')}</h2>
            {wrong ? (
              <>
                <NotRuledOut causes={notRuledOut} />
                <Together causes={together} />
                <ol className="cause-list">
                  {likely.map((r) => (
                    <CauseLine
                      key={r.cause}
                      ranked={r}
                      chosen={r.cause === cause}
                      onChoose={() => setChosen(r.cause)}
                    />
                  ))}
                </ol>
                {ranked[0]!.likelihood < FAIRLY_SURE ? (
                  <p className="soft small mb-0">{t('diagnosis.diagnosisView.noCauseStandsOut')}</p>
                ) : null}
              </>
            ) : (
              <p className="soft">{t('diagnosis.diagnosisView.nothingWrongReportedNo')}</p>
            )}
            <Why>{t('diagnosis.diagnosisView.eachCauseShowsEach')}</Why>
          </section>
          {wrong ? <RemedySheet key={cause} data={data} cause={cause} findings={findings} /> : null}
          <SavedDiagnoses data={data} />
        </div>
      </div>
      <p className="soft">{t('diagnosis.diagnosisView.appAdvisesFishDisease')}</p>
    </>
  )
}
