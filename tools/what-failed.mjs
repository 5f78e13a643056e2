/** What a runner's colours are made of, which a line read later in a log does not need. */
// biome-ignore lint/suspicious/noControlCharactersInRegex: the escape character is what colours begin with.
const COLOURS = /\u001b\[[0-9;]*m/g

/** The first line of a message that says anything; a stack of calls is not for the closing lines. */
function firstLine(message = '') {
  const said = message.replace(COLOURS, '').split('\n')
  return said.find((line) => line.trim() !== '')?.trim() ?? 'no message'
}

/**
 * What failed by the unit runner's JSON report: a line for each test that did, and for each file that could not be loaded.
 * @param {{testResults: {name: string, status: string, message?: string, assertionResults: {status: string, fullName: string, failureMessages?: string[]}[]}[]}} report
 * @returns {string[]}
 */
export function failedUnits({ testResults }) {
  return testResults.flatMap((file) => {
    const tests = file.assertionResults
      .filter(({ status }) => status === 'failed')
      .map(({ fullName, failureMessages }) => `${file.name} › ${fullName}: ${firstLine(failureMessages?.[0])}`)
    return tests.length === 0 && file.status === 'failed' ? [`${file.name}: ${firstLine(file.message)}`] : tests
  })
}

/**
 * What failed by the browser runner's JSON report, suites within suites; a test that failed once and then passed has failed.
 * @param {{suites?: object[], errors?: {message?: string}[]}} report
 * @returns {string[]}
 */
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
