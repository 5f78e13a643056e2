import { stripVTControlCharacters } from 'node:util'

/** The first line of a message that says anything; a stack of calls is not for the closing lines. */
function firstLine(message = '') {
  const said = stripVTControlCharacters(message).split('\n')
  return said.find((line) => line.trim() !== '')?.trim() ?? 'no message'
}

/** What failed by the unit runner's JSON report: a line for each test that did, and for each file that could not be loaded. */
export function failedUnits({ testResults }) {
  return testResults.flatMap((file) => {
    const tests = file.assertionResults
      .filter(({ status }) => status === 'failed')
      .map(({ fullName, failureMessages }) => `${file.name} › ${fullName}: ${firstLine(failureMessages?.[0])}`)
    return tests.length === 0 && file.status === 'failed' ? [`${file.name}: ${firstLine(file.message)}`] : tests
  })
}

/** What failed by the browser runner's JSON report, suites within suites; a test that failed once and then passed has failed. */
export function failedInBrowser({ suites = [], errors = [] }) {
  const ofSuite = ({ file, specs = [], suites: inner = [] }) => [
    ...specs.flatMap(({ title, tests }) =>
      tests
        .filter(({ status }) => status === 'unexpected' || status === 'flaky')
        .map(({ results }) => {
          const error = results.flatMap((result) => result.errors)[0]
          return `${file} › ${title}: ${firstLine(error?.message)}`
        }),
    ),
    ...inner.flatMap(ofSuite),
  ]
  return [...suites.flatMap(ofSuite), ...errors.map(({ message }) => firstLine(message))]
}
