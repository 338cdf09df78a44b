/** Where each resource lives. */
export const API_PATHS = {
  clock: '/api/clock',
  batches: '/api/batches',
  entries: '/api/entries',
  vessels: '/api/vessels',
  juices: '/api/juices',
  supplies: '/api/supplies',
  /** Several batches begun at once, with entries on any batch: a pour or a split, all or nothing. */
  places: '/api/places',
  instruments: '/api/instruments',
  /** Readings of devices: `POST /:id/readings`, `GET /readings?batch=`, `GET /live?batch=`, `GET|POST|DELETE /stand-ins`. */
  devices: '/api/devices',
  settings: '/api/settings',
  /** The book itself: how it does, backups, restoring, out and in. */
  cellar: '/api/cellar',
  /** What changes, as server-sent events. */
  changes: '/api/changes',
  /** Readings out, as CSV or JSON. */
  readings: '/api/readings',
} as const;
