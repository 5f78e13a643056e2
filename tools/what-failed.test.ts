import { describe, expect, it } from 'vitest'
import { failedInBrowser, failedUnits } from './what-failed.mjs'

// Shapes as the runners write them, cut to what is read of them.
describe('what failed is said by name', () => {
  it('of unit tests: the file, the test and the first line of why, without colours', () => {
    const report = {
      testResults: [
        {
          name: 'core/src/a.test.ts',
          status: 'failed',
          message: '',
          assertionResults: [
            { status: 'passed', fullName: 'a lever comes back', failureMessages: [] },
            {
              status: 'failed',
              fullName: 'a pad clears',
              failureMessages: ['\u001b[31mexpected 2 to be 1\u001b[39m\n at x'],
            },
          ],
        },
        { name: 'core/src/b.test.ts', status: 'failed', message: '\nno such file', assertionResults: [] },
        { name: 'core/src/c.test.ts', status: 'passed', message: '', assertionResults: [] },
      ],
    }
    expect(failedUnits(report)).toEqual([
      'core/src/a.test.ts › a pad clears: expected 2 to be 1',
      'core/src/b.test.ts: no such file',
    ])
  })

  it('of browser tests: in suites within suites, what passed at the second try among them', () => {
    const test = (status: string, message?: string) => ({
      status,
      results: [{ errors: message === undefined ? [] : [{ message }] }],
    })
    const report = {
      suites: [
        {
          file: 'disc.spec.ts',
          specs: [{ title: 'a disc is released', tests: [test('expected')] }],
          suites: [
            {
              file: 'disc.spec.ts',
              specs: [
                { title: 'its sheet is printed', tests: [test('unexpected', 'Timeout of 30 s\nlog')] },
                { title: 'it is undone', tests: [test('flaky')] },
              ],
            },
          ],
        },
      ],
      errors: [{ message: 'no browser' }],
    }
    expect(failedInBrowser(report)).toEqual([
      'disc.spec.ts › its sheet is printed: Timeout of 30 s',
      'disc.spec.ts › it is undone: no message',
      'no browser',
    ])
  })
})
