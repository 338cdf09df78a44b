/** Where each resource lives. */
export const API_PATHS = {
  clock: '/api/clock',
  /** All that a window opens with, in one answer. */
  start: '/api/start',
  batches: '/api/batches',
  entries: '/api/entries',
  vessels: '/api/vessels',
  juices: '/api/juices',
  supplies: '/api/supplies',
  places: '/api/places',
  recipes: '/api/recipes',
  instruments: '/api/instruments',
  /** Readings of devices: `POST /:id/readings`, `GET /readings?batch=`, `GET /live?batch=`, `GET|POST|DELETE /stand-ins`. */
  devices: '/api/devices',
  settings: '/api/settings',
  /** The book itself: how it does, backups, restoring, out and in. */
  cellar: '/api/cellar',
  /** What changes, as server-sent events. */
  changes: '/api/changes',
  /** A made-up season to look around in, beside the maker's own book: `POST` opens it, `DELETE` leaves it. */
  season: '/api/season',
  /** A blind tasting on everybody's own phone: `POST` opens its door, `GET` says who has judged, `DELETE` shuts it. */
  tasting: '/api/tasting',
  /** Readings out, as CSV or JSON. */
  readings: '/api/readings',
} as const;
