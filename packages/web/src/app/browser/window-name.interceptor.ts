import type { HttpInterceptorFn } from '@angular/common/http';
import { windowId } from './window-id';

/** Says with every change which window made it, so that it is not told of it as news. */
export const windowName: HttpInterceptorFn = (request, next) =>
  next(request.method === 'GET' ? request : request.clone({ setHeaders: { 'X-Trug-Window': windowId() } }));
