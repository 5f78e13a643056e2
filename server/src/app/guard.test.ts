import type { Request, Response } from 'express'
import { describe, expect, it } from 'vitest'
import { HttpFault } from './fault.ts'
import { guard, networkAddresses } from './guard.ts'

const ask = (hosts: readonly string[], method: string, headers: Record<string, string>): string => {
  let passed = false
  try {
    guard(() => hosts)({ method, headers } as unknown as Request, {} as Response, () => {
      passed = true
    })
  } catch (error) {
    return (error as HttpFault).fault.code
  }
  return passed ? 'passed' : 'lost'
}

describe('who is answered', () => {
  it.each([
    ['127.0.0.1:4117', 'passed'],
    ['localhost:4117', 'passed'],
    ['[::1]:4117', 'passed'],
    ['workshop.example:4117', 'wrong-host'],
    ['192.168.7.7:4117', 'wrong-host'],
    ['', 'wrong-host'],
  ])('%s: %s', (host, expected) => {
    expect(ask([], 'GET', { host })).toBe(expected)
  })

  it('an address of the workshop’s network, once it is shared', () => {
    expect(ask(['192.168.7.7'], 'POST', { host: '192.168.7.7:4117', origin: 'http://192.168.7.7:4117' })).toBe('passed')
  })

  it('a change only from its own pages', () => {
    const host = '127.0.0.1:4117'
    expect(ask([], 'POST', { host, origin: `http://${host}` })).toBe('passed')
    expect(ask([], 'POST', { host })).toBe('passed')
    expect(ask([], 'POST', { host, origin: 'http://127.0.0.1:9999' })).toBe('wrong-origin')
    expect(ask([], 'GET', { host, origin: 'http://elsewhere.example' })).toBe('passed')
    expect(ask([], 'POST', { host, origin: 'null' })).toBe('wrong-origin')
  })

  it('lists IPv4 addresses only', () => {
    for (const address of networkAddresses()) expect(address).toMatch(/^\d+\.\d+\.\d+\.\d+$/)
    expect(new HttpFault(403, { code: 'invalid', field: 'y', message: 'Z.' }).message).toBe('Z.')
  })
})
