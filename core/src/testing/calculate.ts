import { work } from '../calculations/registry.ts'
import { expectOk, type Fault } from '../outcome/outcome.ts'

// biome-ignore lint/suspicious/noExplicitAny: numbers and answers side by side
type Outputs = Record<string, any>

/** Outputs of a calculation from good inputs. */
export const outputs = (id: string, inputs: Record<string, unknown>): Outputs => expectOk(work(id, inputs)).outputs

/** What a calculation says of bad inputs. */
export function fault(id: string, inputs: Record<string, unknown>): Fault | undefined {
  const result = work(id, inputs)
  return result.ok ? undefined : result.error
}
