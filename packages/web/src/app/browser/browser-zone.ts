/** The zone this browser lives in. */
export const browserZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
