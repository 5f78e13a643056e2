import { UNITS } from '@overhaul/core/quantity/quantity'
import { ENTRY_KINDS, type Entry, type EntryKind } from '@overhaul/core/stand/entries'
import Joi from 'joi'
import { ID, NAME, REMARK, TIME } from '../app/told.ts'

const WORD = NAME(80)
const UNIT = Joi.string().valid(...Object.keys(UNITS), '')

const BODIES: Readonly<Record<EntryKind, Joi.SchemaMap>> = {
  reading: {
    reading: WORD.required(),
    value: Joi.alternatives(Joi.number(), Joi.string().max(20)).required(),
    unit: UNIT.required(),
    instrument: REMARK(60),
  },
  turn: {
    adjuster: WORD.required(),
    amount: Joi.number().required(),
    unit: Joi.string().valid('turn', 'mm', 'hole', 'click').required(),
    endReached: Joi.boolean(),
    tried: Joi.number().invalid(0),
    from: Joi.object({ contact: Joi.string().valid('ear', 'feel').required() }),
  },
  swap: { part: WORD.required(), to: REMARK(200).required() },
  confirm: { step: WORD.required(), count: Joi.number().integer().min(1).max(1000), well: Joi.boolean().valid(false) },
  skip: { step: WORD.required(), reason: REMARK(500).required() },
  plan: {
    plan: WORD.required(),
    to: WORD.required(),
    parts: Joi.array()
      .items(
        Joi.object({
          name: NAME(120).required(),
          count: Joi.number().integer().min(1).max(100).required(),
          partId: Joi.string().max(80),
        }),
      )
      .max(20)
      .required(),
    acknowledged: Joi.array().items(WORD).max(20).required(),
    figures: Joi.object().pattern(WORD, Joi.number().min(-1000).max(1000)).max(20),
  },
  route: {
    segments: Joi.array()
      .items(
        Joi.object({
          kind: Joi.string().valid('housing', 'bare').required(),
          lengthMm: Joi.number().greater(0).max(3000).required(),
          bendDeg: Joi.number().min(0).max(720),
          radiusMm: Joi.number().greater(0).max(1000),
          from: Joi.string().valid('ferrule', 'bare', 'barrel'),
          to: Joi.string().valid('ferrule', 'bare', 'barrel'),
        }),
      )
      .min(1)
      .max(20)
      .required(),
  },
  torque: { fastener: WORD.required(), valueNm: Joi.number().required(), instrument: REMARK(80) },
  figure: { fastener: WORD.required(), lowNm: Joi.number().required(), highNm: Joi.number().required() },
  estimate: {
    minutes: Joi.number().required(),
    cost: Joi.number().required(),
    currency: Joi.string().max(3).required(),
  },
  spent: {
    minutes: Joi.number().required(),
    labour: Joi.number().required(),
    currency: Joi.string().max(3).required(),
    parts: Joi.array()
      .items(
        Joi.object({
          name: NAME(120).required(),
          count: Joi.number().integer().min(1).max(1000).required(),
          price: Joi.number().min(0).max(1_000_000).required(),
        }),
      )
      .max(40)
      .required(),
  },
  run: {
    phase: Joi.string().valid('before', 'after').required(),
    direction: Joi.string().valid('out', 'back').required(),
    speedKmh: Joi.number().required(),
    distanceM: Joi.number().required(),
    reactionS: Joi.number(),
    loadKg: Joi.number(),
    pressureBar: Joi.number(),
    surface: Joi.string().valid('dry', 'wet'),
    brakes: Joi.string().valid('this', 'both'),
    speedSdKmh: Joi.number().min(0).max(20),
    distanceSdM: Joi.number().min(0).max(20),
    instrument: REMARK(80),
    decelerationMs2: Joi.number().min(0).max(20),
    decelerationSdMs2: Joi.number().min(0).max(20),
  },
  correction: { strikes: WORD.required(), why: REMARK(500) },
  note: { text: REMARK(5000).required() },
  release: { initials: REMARK(60).required(), lookAgain: Joi.string().max(10) },
  close: {
    initials: REMARK(60).required(),
    why: REMARK(1000).required(),
  },
}

const schemaOf = (kind: EntryKind) =>
  Joi.object({
    id: ID.required(),
    at: TIME.required(),
    by: NAME(40).required(),
    device: NAME(60),
    basedOn: Joi.number().integer().min(0),
    kind: Joi.string().valid(kind).required(),
    ...BODIES[kind],
  })

const ENTRY = Joi.alternatives().conditional('.kind', {
  switch: ENTRY_KINDS.map((kind) => ({ is: kind, then: schemaOf(kind) })),
  otherwise: Joi.object({
    kind: Joi.string()
      .valid(...ENTRY_KINDS)
      .required(),
  }).unknown(),
})

export const MOST_ENTRIES = 200

/** One entry or an array of them, as a client sends them: without `seq`, which is the server's to give. */
export const ENTRIES = Joi.alternatives<Entry | Entry[]>().conditional(Joi.array(), {
  then: Joi.array().items(ENTRY).min(1).max(MOST_ENTRIES),
  otherwise: ENTRY,
})
