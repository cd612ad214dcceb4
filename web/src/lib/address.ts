/** The service that an address is of, if it is of one. */
export const serviceAt = (path: string): string | null => /^\/services\/([^/]+)/.exec(path)?.[1] ?? null
