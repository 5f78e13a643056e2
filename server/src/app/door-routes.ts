import { type Request, type Response, Router } from 'express'
import Joi from 'joi'
import QRCode from 'qrcode'
import type { Streams } from '../jobs/stream.ts'
import { answer } from './answer.ts'
import type { Door } from './door.ts'
import { HttpFault, notFound } from './fault.ts'
import { NAME } from './told.ts'
import { validate } from './validate.ts'

const CODE = Joi.object<{ code: string; device: string }>({ code: NAME(40).required(), device: NAME(40).required() })

/** Coming in, and for the host what is needed to let others in. `places`: where the workshop answers on its network. */
export function doorRoutes(door: Door, streams: Streams, places: () => readonly string[]): Router {
  const router = Router()
  const onlyHost = (request: Request) => {
    if (door.may(request) === 'host') return
    const message = 'Only the workshop’s own screen does that.'
    throw new HttpFault(403, { code: 'host-only', field: 'code', message })
  }

  router.get('/', async (request, response) => {
    const may = door.may(request)
    if (may !== 'host' || !door.shared) return answer(response, 'GET door', { shared: door.shared, may })
    const { write, read } = door.codes
    const [place] = places()
    const qr = place && (await QRCode.toString(`${place}/#code=${write}`, { type: 'svg', margin: 1 }))
    answer(response, 'GET door', {
      shared: true,
      may,
      codes: { write, read },
      places: places(),
      devices: door.devices,
      ...(qr && { qr }),
    })
  })

  router.post('/', (request, response) => {
    const { code, device } = validate(CODE, request.body)
    const entered = door.letIn(code, device, request.socket.remoteAddress ?? '')
    if (!entered.ok) throw new HttpFault(entered.error.code === 'too-many-tries' ? 429 : 403, entered.error)
    response.setHeader('Set-Cookie', entered.value.cookie)
    answer(response, 'POST door', { may: entered.value.device.may }, 201)
  })

  router.delete('/devices/:id', (request: Request<{ id: string }>, response: Response) => {
    onlyHost(request as never)
    if (!door.showOut(request.params.id))
      throw notFound('unknown-device', 'id', `There is no screen “${request.params.id}” let in.`)
    streams.hangUp((device) => device === request.params.id)
    response.status(204).end()
  })

  router.delete('/codes', (request, response) => {
    onlyHost(request)
    door.changeCodes()
    streams.hangUp((device) => device !== undefined)
    response.status(204).end()
  })

  return router
}
