/** A browser that does not say when it is idle is taken to be after so long, ms. */
const PATIENCE_MS = 500;

/**
 * Does something once nothing more pressing goes on.
 *
 * @param work - what can wait
 * @returns what gives it up
 */
export function whenIdle(work: () => void): () => void {
  if (typeof window.requestIdleCallback !== 'function') {
    const timer = setTimeout(work, PATIENCE_MS);
    return () => clearTimeout(timer);
  }
  const handle = window.requestIdleCallback(work);
  return () => window.cancelIdleCallback(handle);
}
