import type { Dimension, Hardware } from '@overhaul/core/stand/hardware'
import Joi from 'joi'
import { NAME, TIME } from '../app/told.ts'

const DIMENSION = Joi.object<Dimension>({
  value: Joi.number().required(),
  provenance: Joi.string().valid('measured', 'maker').required(),
  instrument: NAME(60),
  since: TIME,
  by: NAME(40),
})

/** What hangs there, as a client tells it; what is not given is the family’s book figure or what is usual. */
export const HARDWARE = Joi.object<Hardware>({
  family: Joi.string().required(),
  end: Joi.string().valid('front', 'rear').required(),
  dimensions: Joi.object().pattern(Joi.string(), DIMENSION).default({}),
  traits: Joi.object().pattern(Joi.string(), Joi.string().max(40)),
  figures: Joi.object().pattern(
    Joi.string().max(80),
    Joi.object({
      low: Joi.number().greater(0).max(60).required(),
      high: Joi.number().min(Joi.ref('low')).max(60).required(),
    }),
  ),
  practiceSeed: Joi.number().integer().min(0),
})
