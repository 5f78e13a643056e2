export const CHROMIUM: { readonly executablePath: string; readonly args: string[] }
export function ensureChromium(): void
