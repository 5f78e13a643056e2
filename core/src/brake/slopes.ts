import type { Predict, Slopes } from './model.ts'

const STEP = 1e-4

/** Slopes by a small step of each input: for a model whose readings are nearly straight lines in its inputs. */
export const slopesOf =
  (predict: Predict): Slopes =>
  (q, y, jacobian) => {
    predict(q, y)
    const moved = new Float64Array(y.length)
    for (let i = 0; i < q.length; i += 1) {
      const at = q[i] as number
      q[i] = at + STEP
      predict(q, moved)
      q[i] = at
      for (let r = 0; r < y.length; r += 1)
        jacobian[r * q.length + i] = ((moved[r] as number) - (y[r] as number)) / STEP
    }
  }
