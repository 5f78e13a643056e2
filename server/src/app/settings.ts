import { resolve } from 'node:path'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import Joi from 'joi'

export interface Settings {
  readonly data: string
  readonly port: number
  readonly host: string
  /** The data never grows past this, in MB; absent where only the disk limits it. */
  readonly mostMb?: number
  /** Go on without writes that were acknowledged and lost. */
  readonly asItIs?: boolean
  /** Begin with no demo workshop. */
  readonly empty: boolean
  /** Open to the workshop's network: whoever is not at this machine needs a code. */
  readonly share: boolean
}

/** Whether only this machine itself reaches a host of this name. */
export const isLoopback = (host: string): boolean => /^(localhost|::1|127(\.\d{1,3}){3})$/.test(host)

const ENVIRONMENT = Joi.object({
  OVERHAUL_DATA: Joi.string().min(1).default('./data'),
  OVERHAUL_PORT: Joi.number().port().default(4117),
  OVERHAUL_HOST: Joi.string().hostname().default('127.0.0.1'),
  OVERHAUL_MOST_MB: Joi.number().positive(),
}).unknown()

const FLAGS = ['--empty', '--share', '--as-it-is']

/** Settings from the environment and the command line; refuses what it does not know, naming what it does. */
export function readSettings(environment: NodeJS.ProcessEnv, args: readonly string[]): Outcome<Settings> {
  const unknown = args.find((arg) => !FLAGS.includes(arg))
  if (unknown) return refuse('unknown-flag', unknown, `“${unknown}” is not understood. Accepted: ${FLAGS.join(', ')}.`)
  const { value, error } = ENVIRONMENT.validate(environment)
  if (error) {
    const field = String(error.details[0]?.path[0])
    return refuse('invalid', field, `${field} is “${environment[field]}”: ${error.details[0]?.message}.`)
  }
  const share = args.includes('--share') || !isLoopback(value.OVERHAUL_HOST)
  return ok({
    data: resolve(value.OVERHAUL_DATA),
    port: value.OVERHAUL_PORT,
    host: share && isLoopback(value.OVERHAUL_HOST) ? '0.0.0.0' : value.OVERHAUL_HOST,
    ...(value.OVERHAUL_MOST_MB && { mostMb: value.OVERHAUL_MOST_MB }),
    ...(args.includes('--as-it-is') && { asItIs: true }),
    empty: args.includes('--empty'),
    share,
  })
}
