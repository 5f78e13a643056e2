import type { AnyCalculation, InputSpec } from '@overhaul/core/calculation/calculation'
import type { CurvePoint } from '../drawing/Curves.tsx'

const POINTS = 61

/** From where to where an input is varied: about its value, inside what is accepted. */
function rangeOf(spec: InputSpec, value: number): readonly [number, number] {
  const { min = Number.NEGATIVE_INFINITY, max = Number.POSITIVE_INFINITY } = spec.type === 'number' ? spec : {}
  const reach = value === 0 ? 1 : 0.6 * Math.abs(value)
  return [Math.max(min, value - reach), Math.min(max, value + reach)]
}

/** One output over one input, all others as they stand; where the calculation refuses there is no point. */
export function sweepOf(
  calculation: AnyCalculation,
  inputs: Readonly<Record<string, unknown>>,
  x: string,
  y: string,
): readonly CurvePoint[] {
  const spec = calculation.inputs[x]
  const value = inputs[x]
  if (!spec || typeof value !== 'number') return []
  const [low, high] = rangeOf(spec, value)
  return Array.from({ length: POINTS }, (_, index) => low + ((high - low) * index) / (POINTS - 1)).flatMap((at) => {
    const worked = calculation.work({ ...inputs, [x]: at })
    const out = worked.ok ? worked.value.outputs[y] : undefined
    return typeof out === 'number' && Number.isFinite(out) ? [{ x: at, y: out }] : []
  })
}
