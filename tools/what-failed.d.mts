export function failedUnits(report: object): string[]
export function failedInBrowser(report: object): string[]
