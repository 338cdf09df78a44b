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
  places: '/api/places',
  instruments: '/api/instruments',
  /** Readings of devices: `POST /:id/readings`, `GET /readings?batch=`, `GET /live?batch=`, `GET|POST|DELETE /stand-ins`. */
  devices: '/api/devices',
  settings: '/api/settings',
} as const;
