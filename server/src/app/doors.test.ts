import { EventEmitter } from 'node:events'
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expectOk } from '@overhaul/core/outcome/outcome'
import type { Entry } from '@overhaul/core/stand/entries'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Streams } from '../jobs/stream.ts'
import { entry, testWorkshop } from '../testing/workshop.ts'
import { serve, type Workshop } from './serve.ts'

let shop: Awaited<ReturnType<typeof testWorkshop>>
let paged: Workshop
beforeAll(async () => {
  shop = await testWorkshop()
  const web = mkdtempSync(join(tmpdir(), 'overhaul-web-'))
  mkdirSync(join(web, 'assets'))
  writeFileSync(join(web, 'index.html'), '<meta property="csp-nonce" nonce="__NONCE__" content="__NONCE__" />')
  const data = mkdtempSync(join(tmpdir(), 'overhaul-paged-'))
  paged = expectOk(await serve({ data, port: 0, host: '127.0.0.1', empty: true, share: false }, web))
})
afterAll(async () => {
  await shop.close()
  await paged.close()
})

// W3C Content Security Policy Level 3; OWASP Secure Headers Project.
describe('what a browser may do with our pages', () => {
  it('our own scripts only, styles by nonce, no frames, nothing sniffed, no referrer', async () => {
    const { headers } = await fetch(shop.url('health'))
    const csp = headers.get('content-security-policy') ?? ''
    expect(csp).toContain("default-src 'self'")
    expect(csp).toMatch(/script-src 'self'(;|$)/)
    expect(csp).toMatch(/style-src 'self' 'nonce-[\w+/=]{20,}'/)
    expect(csp).toContain("frame-ancestors 'none'")
    expect(csp).not.toContain('unsafe')
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('referrer-policy')).toBe('no-referrer')
    expect(headers.get('x-frame-options')).toBe('DENY')
    expect(headers.get('x-powered-by')).toBeNull()
  })

  it('a workshop that speaks plain http is not locked out of its own bench', async () => {
    const { headers } = await fetch(shop.url('health'))
    expect(headers.get('content-security-policy')).not.toContain('upgrade-insecure-requests')
    expect(headers.get('strict-transport-security')).toBeNull()
  })

  it('each page carries the nonce of its own answer, another each time', async () => {
    const open = async () => {
      const response = await fetch(`http://127.0.0.1:${paged.port}/stand/x`)
      const nonce = /'nonce-([^']+)'/.exec(response.headers.get('content-security-policy') ?? '')?.[1]
      expect(response.headers.get('cache-control')).toBe('no-store')
      const html = await response.text()
      expect(html).toBe(`<meta property="csp-nonce" nonce="${nonce}" content="${nonce}" />`)
      return nonce
    }
    expect(await open()).not.toBe(await open())
  })
})

describe('who asks under a name that is not ours', () => {
  it('is told no address', async () => {
    const { port } = new URL(shop.url(''))
    const body = await new Promise<string>((resolve, reject) => {
      const sent = request(
        { port, host: '127.0.0.1', path: '/api/health', headers: { host: 'elsewhere.example' } },
        (answer) => {
          expect(answer.statusCode).toBe(403)
          let text = ''
          answer.on('data', (chunk) => {
            text += chunk
          })
          answer.on('end', () => resolve(text))
        },
      )
      sent.on('error', reject)
      sent.end()
    })
    expect(body).toContain('wrong-host')
    expect(body).not.toMatch(/\d+\.\d+\.\d+\.\d+|localhost/)
  })
})

// OWASP, “CSV injection”: a cell that begins =, +, −, @, tab or return is taken for a formula.
describe('the drawer as a file', () => {
  const names = ['=HYPERLINK("x")', '+1', '-washer', '@sum', "'=quoted", 'plain', "it's"]
  const csv = async () => (await fetch(shop.url('drawer/drawer.csv'))).text()

  it('has no cell that begins a formula, and comes back the same', async () => {
    for (const [index, name] of names.entries())
      await shop.post('drawer', {
        code: `F${index}`,
        kind: 'flat-washer',
        name,
        dimensions: { thicknessMm: 1, holeMm: 6.4, outerMm: 12 },
        count: 3,
        by: '3',
      })
    const text = await csv()
    for (const cell of text.split(/[\r\n,]+/)) expect(cell.replace(/^"/, '')).not.toMatch(/^[=+@\t]|^-\D/)
    const answer = await shop.call('POST', 'drawer/drawer.csv?by=3', text, { 'Content-Type': 'text/csv' })
    expect(answer).toMatchObject({ status: 200, body: { bad: [] } })
    const back = (await shop.get('drawer')).body as { code: string; name: string }[]
    expect(names.map((_, index) => back.find(({ code }) => code === `F${index}`)?.name)).toEqual(names)
    expect(await csv()).toBe(text)
  })
})

describe('a stream nobody reads', () => {
  /** A screen that reads nothing: what is written waits. */
  class Deaf extends EventEmitter {
    writableLength = 0
    destroyed = false
    writeHead() {
      return this
    }
    write(text: string) {
      this.writableLength += text.length
      return false
    }
    destroy() {
      this.destroyed = true
      this.emit('close')
    }
  }
  const note = (seq: number): Entry => ({ ...entry({ kind: 'note', text: 'x'.repeat(1900) }), seq }) as Entry

  const nothing = async (): Promise<readonly Entry[]> => []

  it('is closed before a megabyte waits in it, and the others go on', async () => {
    const streams = new Streams()
    const [deaf, heard] = [new Deaf(), new Deaf()]
    await streams.open('job', deaf as never, 0, nothing, false)
    await streams.open('job', heard as never, 0, nothing, false)
    for (let seq = 1; seq <= 2000; seq += 1) {
      heard.writableLength = 0
      streams.publish('job', [note(seq)])
      expect(deaf.writableLength).toBeLessThan(1024 * 1024)
    }
    expect(deaf.destroyed).toBe(true)
    expect(heard.destroyed).toBe(false)
    heard.destroy()
  })

  it('one that opens it with more behind it than that is closed as well', async () => {
    const deaf = new Deaf()
    const missed = Array.from({ length: 2000 }, (_, index) => note(index + 1))
    await new Streams().open('job', deaf as never, 0, async () => missed, false)
    expect(deaf.writableLength).toBeLessThan(1024 * 1024)
    deaf.destroy()
  })

  it('what is written while a screen is told what it missed is heard once, after it', async () => {
    const streams = new Streams()
    const screen = new Deaf()
    let said = ''
    screen.write = (text: string) => {
      said += text
      return true
    }
    const log = [note(1), note(2)]
    // The log is read, and the third entry is written and told before the screen hears the first two.
    const read = async (after: number) => {
      const missed = log.filter(({ seq = 0 }) => seq > after)
      if (log.length === 2) {
        log.push(note(3))
        streams.publish('job', [note(3)])
      }
      return missed
    }
    await streams.open('job', screen as never, 0, read, false)
    streams.publish('job', [note(4)])
    expect(said.match(/^id: \d+$/gm)).toEqual(['id: 1', 'id: 2', 'id: 3', 'id: 4'])
    screen.destroy()
  })

  it('a screen that saw more than the log has is told to read it anew', async () => {
    const { job } = await shop.newJob()
    const response = await fetch(shop.url(`jobs/${job.id}/stream?after=40`))
    const reader = response.body?.getReader()
    let heard = ''
    while (!heard.includes('behind')) {
      const { value, done } = (await reader?.read()) ?? { done: true, value: undefined }
      if (done) break
      heard += new TextDecoder().decode(value)
    }
    expect(heard).toContain('event: behind')
    await reader?.cancel()
  })
})
