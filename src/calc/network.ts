import { z } from 'zod'
import { DomainError } from '../core/errors'
import { defineCalculation } from './define'

const MAX_TEXT = 900_000

export const NETWORK_CALCULATIONS = [
  defineCalculation({
    name: 'hydraulics.network',
    summary: 'Flows and heads of a pipe network given as EPANET text',
    input: z.strictObject({
      inp: z.string().min(1).max(MAX_TEXT).describe('EPANET input file as text, any of its flow units'),
    }),
    output: z.object({
      links: z.array(z.object({ id: z.string(), flow_m3_h: z.number(), headLoss_m: z.number() })),
      nodes: z.array(z.object({ id: z.string(), head_m: z.number() })),
    }),
    run: async ({ inp }) => {
      // the engine is a megabyte of WebAssembly: only this calculation loads it
      const { solveInp } = await import('../core/hydraulics/network/solve-inp')
      const solved = await solveInp(inp)
      if (!solved.ok)
        throw new DomainError(
          'inp',
          `a network with: ${solved.problem.messages.join('; ')}`,
          'a network that EPANET can read and solve',
        )
      return {
        links: solved.value.links.map((link) => ({
          id: link.id,
          flow_m3_h: link.flowM3PerH,
          headLoss_m: link.headLossM,
        })),
        nodes: solved.value.nodes.map((node) => ({ id: node.id, head_m: node.headM })),
      }
    },
  }),
]
