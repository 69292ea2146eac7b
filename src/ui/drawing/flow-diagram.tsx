'use client'
import { useTexts } from '@/ui/kit/texts'
import { linkIds } from '@/core/filter/flow/flow-network'
import type { FlowPlan } from '@/core/filter/flow/flow-plan'
import { useShow } from '@/ui/person-context'

const ROW_PX = 54
const WIDTH_PX = 760
const X = { intake: 20, suction: 230, pump: 300, split: 430, end: 560 }
const MAX_STROKE_PX = 16

interface FlowDiagramProps {
  readonly plan: FlowPlan
  readonly season: 'summer' | 'winter'
  readonly pumpCount: number
  /** Flow in a link, m³/h; null while it is being solved. */
  readonly flowOf: (linkId: string) => number | null
}

/** Flow diagram: intakes, pumps, branches; lines as wide as what flows in them. Not to scale. */
export function FlowDiagram({ plan, season, pumpCount, flowOf }: FlowDiagramProps) {
  const t = useTexts()

  const show = useShow()
  const rows = Math.max(plan.intakes.length, plan.branches.length, pumpCount)
  const height = rows * ROW_PX + 20
  const y = (i: number, of: number) => 10 + (height - 20) * ((i + 0.5) / of)
  const middle = height / 2
  const total = plan.branches.reduce((sum, _, i) => sum + Math.max(0, flowOf(linkIds.branch(i)) ?? 0), 0)
  const stroke = (flow: number | null) =>
    flow === null || total === 0 ? 1.5 : Math.max(1.5, (Math.abs(flow) / total) * MAX_STROKE_PX)
  const words = (flow: number | null) => (flow === null ? '' : show(Math.max(0, flow), 'flow'))
  const link = (d: string, flow: number | null, shut = false) => (
    <path
      d={d}
      fill="none"
      stroke={shut ? 'var(--rule)' : 'var(--water-line)'}
      strokeWidth={shut ? 1.5 : stroke(flow)}
      strokeDasharray={shut ? '4 4' : undefined}
    />
  )
  return (
    <svg
      className="drawing"
      viewBox={`0 0 ${WIDTH_PX} ${height}`}
      role="img"
      aria-label={t('drawing.flowDiagram.flowDiagram', {
        map: plan.branches
          .map((b, i) => `${t(`design.branchNames.${b.kind}`)} ${words(flowOf(linkIds.branch(i)))}`)
          .join(', '),
      })}
    >
      {plan.intakes.map((intake, i) => {
        const at = y(i, plan.intakes.length)
        const flow = intake[season] ? flowOf(linkIds.intake(i)) : 0
        return (
          <g key={i}>
            {link(
              `M${X.intake + 118} ${at}C${X.suction - 30} ${at} ${X.suction - 50} ${middle} ${X.suction} ${middle}`,
              flow,
              !intake[season],
            )}
            <rect className="node" x={X.intake} y={at - 17} width={118} height={34} rx={4} />
            <text x={X.intake + 59} y={at - 2} textAnchor="middle">
              {t(`design.intakeNames.${intake.kind}`)}
            </text>
            <text x={X.intake + 59} y={at + 12} textAnchor="middle" className="soft-text">
              {intake[season] ? words(flow) : 'shut'}
            </text>
          </g>
        )
      })}
      {Array.from({ length: pumpCount }, (_, i) => {
        const at = y(i, pumpCount)
        const flow = flowOf(linkIds.pump(i))
        return (
          <g key={i}>
            {link(`M${X.suction} ${middle}C${X.suction + 30} ${middle} ${X.pump - 40} ${at} ${X.pump} ${at}`, flow)}
            {link(`M${X.pump + 40} ${at}C${X.split - 40} ${at} ${X.split - 50} ${middle} ${X.split} ${middle}`, flow)}
            <circle className="node" cx={X.pump + 20} cy={at} r={20} />
            <path
              d={`M${X.pump + 10} ${at - 10}L${X.pump + 36} ${at}L${X.pump + 10} ${at + 10}Z`}
              fill="none"
              stroke="var(--ink)"
            />
            <text x={X.pump + 20} y={at + 34} textAnchor="middle" className="soft-text">
              {words(flow)}
            </text>
          </g>
        )
      })}
      {plan.branches.map((branch, i) => {
        const at = y(i, plan.branches.length)
        const flow = flowOf(linkIds.branch(i))
        const shut = branch.valve < 0.05
        return (
          <g key={i}>
            {link(`M${X.split} ${middle}C${X.split + 60} ${middle} ${X.end - 60} ${at} ${X.end} ${at}`, flow, shut)}
            <rect className="node" x={X.end} y={at - 19} width={180} height={38} rx={4} />
            <text x={X.end + 90} y={at - 3} textAnchor="middle">
              {t(`design.branchNames.${branch.kind}`)}
            </text>
            <text x={X.end + 90} y={at + 12} textAnchor="middle" className="soft-text">
              {shut
                ? t('drawing.flowDiagram.valveShut')
                : `${words(flow)}${flow !== null && total > 0 ? `, ${Math.round((Math.max(0, flow) / total) * 100)} %` : ''}`}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
