import type { Route, Routes } from '@angular/router';

/**
 * The route an address leads to, found without the router, so that its page can be fetched while Angular still starts.
 *
 * @param path - such as `/batch/7/read`
 * @param routes - flat, in the router's order
 * @returns the route, redirects followed; undefined when there is none
 */
export function pageAskedFor(path: string, routes: Routes): Route | undefined {
  const parts = path.split('/').filter((part) => part !== '');
  const found = routes.find((route) => {
    const pattern = (route.path ?? '').split('/').filter((part) => part !== '');
    return pattern.length === parts.length && pattern.every((part, i) => part.startsWith(':') || part === parts[i]);
  });
  return typeof found?.redirectTo === 'string' ? pageAskedFor(found.redirectTo, routes) : found;
}
