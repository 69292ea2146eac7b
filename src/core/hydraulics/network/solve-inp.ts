import { CountType, LinkProperty, NodeProperty, Project, Workspace } from 'epanet-js'
import { failure, success, type Result } from '../../result'

export interface SolvedNetwork {
  readonly links: readonly {
    readonly id: string
    readonly from: string
    readonly to: string
    readonly flowM3PerH: number
    readonly headLossM: number
  }[]
  readonly nodes: readonly { readonly id: string; readonly headM: number }[]
}

export type NetworkProblem = {
  readonly code: 'not-readable' | 'not-solved'
  /** What the engine says, line by line. */
  readonly messages: readonly string[]
}

/**
 * m³/h in one of each of EPANET's flow units, in the order of its enumeration: CFS GPM MGD IMGD AFD LPS LPM MLD CMH
 * CMD CMS.
 */
const TO_M3_PER_H = [101.940648, 0.2271247, 157.725491, 189.420417, 51.395, 3.6, 0.06, 41.6666667, 1, 1 / 24, 3600]
/** The first five units put lengths in feet. */
const LAST_US_UNIT = 4
const FOOT_M = 0.3048

const INP = 'network.inp'
const REPORT = 'report.txt'

let engine: Promise<Workspace> | undefined

async function loaded(): Promise<Workspace> {
  engine ??= (async () => {
    const workspace = new Workspace()
    await workspace.loadModule()
    return workspace
  })()
  return engine
}

/** Lines of an EPANET report that say what is wrong, each joined with the line of the file it means. */
export function reportMessages(report: string): string[] {
  const lines = report.split('\n').map((line) => line.trim())
  return lines.flatMap((line, i) => {
    if (!/^(Error|WARNING|Warning)/.test(line) || /^Error 200/.test(line)) return []
    const next = lines[i + 1] ?? ''
    return [line.endsWith(':') && next !== '' ? `${line} “${next}”` : line.replace(/:$/, '')]
  })
}

/**
 * Solves a pipe network given as EPANET text, steady state at time 0.
 * @returns flows in m³/h and heads in m whatever the file's units, or what the engine could not read or solve
 * @source EPANET 2.3 (Rossman et al.), compiled to WebAssembly
 */
export async function solveInp(text: string): Promise<Result<SolvedNetwork, NetworkProblem>> {
  const workspace = await loaded()
  const project = new Project(workspace)
  workspace.writeFile(INP, text)
  const refuse = (code: NetworkProblem['code'], error: unknown) => {
    quietly(() => project.close())
    const messages = reportMessages(workspace.readFile(REPORT))
    return failure({ code, messages: messages.length > 0 ? messages : [(error as Error).message] })
  }
  try {
    project.open(INP, REPORT, '')
  } catch (error) {
    return refuse('not-readable', error)
  }
  try {
    project.solveH()
    const unit = project.getFlowUnits()
    const lengthM = unit <= LAST_US_UNIT ? FOOT_M : 1
    const solved: SolvedNetwork = {
      links: Array.from({ length: project.getCount(CountType.LinkCount) }, (_, i) => {
        const { node1, node2 } = project.getLinkNodes(i + 1)
        return {
          id: project.getLinkId(i + 1),
          from: project.getNodeId(node1),
          to: project.getNodeId(node2),
          flowM3PerH: project.getLinkValue(i + 1, LinkProperty.Flow) * TO_M3_PER_H[unit]!,
          headLossM: project.getLinkValue(i + 1, LinkProperty.Headloss) * lengthM,
        }
      }),
      nodes: Array.from({ length: project.getCount(CountType.NodeCount) }, (_, i) => ({
        id: project.getNodeId(i + 1),
        headM: project.getNodeValue(i + 1, NodeProperty.Head) * lengthM,
      })),
    }
    project.close()
    return success(solved)
  } catch (error) {
    return refuse('not-solved', error)
  }
}

/** Closing a project that never opened throws; there is nothing left to close then. */
function quietly(work: () => void): void {
  try {
    work()
  } catch (error) {
    if (!(error instanceof Error)) throw error
  }
}
