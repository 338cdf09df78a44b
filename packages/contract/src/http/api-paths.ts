/** Where each resource lives. */
export const API_PATHS = {
  clock: '/api/clock',
  batches: '/api/batches',
  entries: '/api/entries',
  vessels: '/api/vessels',
  juices: '/api/juices',
  supplies: '/api/supplies',
  /** Several batches begun at once, with entries on any batch: a pour or a split, all or nothing. */
  families: '/api/families',
  settings: '/api/settings',
} as const;
