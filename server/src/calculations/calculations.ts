import type { AnyCalculation, InputSpec } from '@overhaul/core/calculation/calculation'
import { CALCULATIONS, findCalculation, work } from '@overhaul/core/calculations/registry'
import { type Request, type Response, Router } from 'express'
import Joi from 'joi'
import { HttpFault, orThrow } from '../app/fault.ts'
import { validate } from '../app/validate.ts'

/** The Joi schema of one declared input. Ranges are the core's own to check, so that every door says the same. */
function inputSchema(spec: InputSpec): Joi.Schema {
  if (spec.type === 'choice') return Joi.string().valid(...spec.choices)
  if (spec.type === 'number')
    return spec.optional || spec.default !== undefined ? Joi.number().unsafe() : Joi.number().unsafe().required()
  const list = Joi.array().items(Joi.number()).required()
  return spec.type === 'point' ? list.length(2) : list
}

const schemaFor = (calculation: AnyCalculation) =>
  Joi.object(Object.fromEntries(Object.entries(calculation.inputs).map(([name, spec]) => [name, inputSchema(spec)])))

const declared = ({ id, title, summary, inputs, outputs, sources, example }: AnyCalculation) => ({
  id,
  title,
  summary,
  inputs,
  outputs,
  sources,
  example,
})

function known(id: string): AnyCalculation {
  const found = findCalculation(id)
  if (found) return found
  const fault = work(id, {})
  throw new HttpFault(404, fault.ok ? { code: 'unknown-calculation', field: 'id', message: id } : fault.error)
}

/** Every calculation, declared and worked, through one door. */
export function calculationRoutes(): Router {
  const router = Router()
  router.get('/', (_request, response) => {
    response.json(CALCULATIONS.map(declared))
  })
  router.get('/:id', (request: Request<{ id: string }>, response: Response) => {
    response.json(declared(known(request.params.id)))
  })
  router.post('/:id', (request: Request<{ id: string }>, response: Response) => {
    const calculation = known(request.params.id)
    validate(schemaFor(calculation), request.body)
    response.json(orThrow(calculation.work(request.body)))
  })
  return router
}
