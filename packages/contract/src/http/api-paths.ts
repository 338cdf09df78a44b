/** Where each resource lives. */
export const API_PATHS = {
  clock: '/api/clock',
  batches: '/api/batches',
  entries: '/api/entries',
  vessels: '/api/vessels',
  settings: '/api/settings',
} as const;
