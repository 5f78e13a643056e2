import fc from 'fast-check'

/** Properties are tried on the same cases every time, so that a red test is red for everybody; `SEED=n` tries others. */
fc.configureGlobal({ seed: Number(process.env.SEED ?? 1) })
