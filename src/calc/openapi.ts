import { z } from 'zod'
import { CALCULATIONS } from './registry'

const problem = {
  description: 'What is wrong with the input',
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
}

/** OpenAPI 3.1 description of every calculation, generated from the schemas that check them. */
export function openApiDocument(): Record<string, unknown> {
  const paths = Object.fromEntries(
    CALCULATIONS.map((c) => [
      `/api/v1/calc/${c.name}`,
      {
        post: {
          operationId: c.name,
          summary: c.summary,
          requestBody: {
            required: true,
            content: { 'application/json': { schema: withoutDialect(z.toJSONSchema(c.input, { io: 'input' })) } },
          },
          responses: {
            200: {
              description: 'The result',
              content: { 'application/json': { schema: withoutDialect(z.toJSONSchema(c.output, { io: 'output' })) } },
            },
            401: { description: 'Not signed in' },
            422: problem,
          },
        },
      },
    ]),
  )
  return {
    openapi: '3.1.0',
    info: {
      title: 'Slow Reed calculations',
      version: '1',
      description: 'Inputs and outputs are SI, with the unit in the key.',
    },
    paths,
    components: {
      schemas: {
        Problem: {
          type: 'object',
          required: ['title', 'status'],
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
            fields: {
              type: 'array',
              items: { type: 'object', properties: { path: { type: 'string' }, message: { type: 'string' } } },
            },
          },
        },
      },
    },
  }
}

function withoutDialect(schema: object): object {
  return Object.fromEntries(Object.entries(schema).filter(([key]) => key !== '$schema'))
}
