/** A sentence begins with a capital; what stands inside one does not. */
export const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
export const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
