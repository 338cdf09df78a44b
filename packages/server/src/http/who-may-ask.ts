import type { RequestHandler } from 'express';
import { HttpError } from './http-error.js';

/** Names under which this machine calls itself. */
const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]'] as const;

/**
 * Lets in only what asks this Trug by its own name, and, from a browser, only Trug's own page. A page elsewhere can point
 * a name of its own at this machine, or send a request it cannot read the answer of: both are told apart by what a
 * browser says about itself and a page cannot change. A device or a script says nothing of the kind and is let in.
 *
 * @param port - where Trug listens, known once it does
 * @returns the first handler of the app
 */
export function whoMayAsk(port: () => number): RequestHandler {
  return (request, _response, next) => {
    const hosts = OWN_NAMES.map((name) => `${name}:${port()}`);
    const host = (request.headers.host ?? '').toLowerCase();
    // A browser leaves out the port that http has by itself.
    const named = port() === 80 ? `${host}:80` : host;
    if (!hosts.includes(named) && !hosts.includes(host)) {
      throw new HttpError('not-yours', `This Trug is asked as localhost:${port()}, not by another name.`);
    }
    const { origin } = request.headers;
    if (
      origin !== undefined &&
      !hosts.some((own) => origin.toLowerCase() === `http://${own}` || (port() === 80 && `${origin.toLowerCase()}:80` === `http://${own}`))
    ) {
      throw new HttpError('not-yours', 'Only Trug’s own page may ask that.');
    }
    const site = request.headers['sec-fetch-site'];
    const isVisit = request.headers['sec-fetch-mode'] === 'navigate' && request.headers['sec-fetch-dest'] === 'document';
    // Following a link to a page of Trug is nobody's harm; asking it for anything from elsewhere is.
    const mayVisit = isVisit && request.method === 'GET' && !request.path.startsWith('/api');
    if (site !== undefined && site !== 'same-origin' && site !== 'none' && !mayVisit) {
      throw new HttpError('not-yours', 'Only Trug’s own page may ask that.');
    }
    next();
  };
}
