import { BackupFolderDto, BookChoiceDto } from '@trug/contract';
import { Router, type RequestHandler } from 'express';
import { HttpError } from '../http/http-error.js';
import { readBody } from '../http/read-body.js';
import type { CellarService } from './cellar.service.js';

const onlyZip: RequestHandler = (request, _response, next) => {
  if (request.is('application/zip') === false) throw new HttpError('bad-request', 'An archive is sent as application/zip.');
  next();
};

/**
 * `GET /` says how the cellar does, `POST /backups` makes a backup, `PUT /backup-folder` says where they go,
 * `POST /compare` says what another book would take away and bring, `POST /restore` puts it in place,
 * `GET /archive` gives everything out and `POST /archive` looks at an archive that shall come in.
 *
 * @param service - the use cases of the book as a whole
 * @param json - reads bodies, where one is JSON
 * @returns the router
 */
export function createCellarRouter(service: CellarService, json: readonly RequestHandler[]): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json(await service.status());
  });
  router.get('/archive', async (_request, response) => {
    response.attachment('trug-cellar.zip').type('application/zip');
    await service.exportTo(response);
  });
  router.post('/archive', onlyZip, async (request, response) => {
    response.json(await service.lookAt(request));
  });
  router.use(...json);
  router.post('/backups', async (_request, response) => {
    response.status(201).json(await service.backUp());
  });
  router.put('/backup-folder', async (request, response) => {
    response.json(await service.setBackupDir(readBody(BackupFolderDto, request.body).backupDir));
  });
  router.post('/compare', async (request, response) => {
    const { source, name } = readBody(BookChoiceDto, request.body);
    response.json(await service.compare(source, name));
  });
  router.post('/restore', async (request, response) => {
    const { source, name } = readBody(BookChoiceDto, request.body);
    response.json(await service.restore(source, name));
  });
  return router;
}
