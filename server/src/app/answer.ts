import type { Answers } from '@overhaul/core/http/contract'
import type { Response } from 'express'

/** Answers a route with what the contract says it answers. */
export const answer = <Route extends keyof Answers>(
  response: Response,
  _route: Route,
  told: Answers[Route],
  status = 200,
): void => void response.status(status).json(told)
