export const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
export const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
