import express from 'express';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { HttpError, STATUS_BY_CODE, type HttpErrorCode } from './http-error.js';
import { createProblemHandler, notFound } from './problem-handler.js';

const written: string[] = [];
const log = pino({ level: 'error' }, { write: (line: string) => written.push(line) });
const app = express();
app.get('/fault', () => {
  throw new Error('secret path /home/someone');
});
app.get('/refused/:code', (request) => {
  throw new HttpError(request.params.code as HttpErrorCode, 'because', { fields: [{ path: 'a', code: 'min', message: 'too small' }], current: { version: 2 } });
});
app.get('/late', (_request, response) => {
  response.write('begun');
  throw new Error('too late');
});
app.use(notFound);
app.use(createProblemHandler({ log }));
const server = app.listen(0);
const url = `http://localhost:${(server.address() as AddressInfo).port}`;
afterAll(() => server.close());

it('hides what a fault says, and writes it to the log', async () => {
  const response = await fetch(`${url}/fault`);
  const body = await response.text();
  expect(response.status).toBe(500);
  expect(body).not.toContain('secret');
  expect(JSON.parse(body)).toMatchObject({ code: 'failed', title: 'Something went wrong here' });
  expect(written.join()).toContain('secret path');
});

it.each(Object.entries(STATUS_BY_CODE))('answers %s with %i, its reason, its fields and what is there now', async (code, status) => {
  const response = await fetch(`${url}/refused/${code}`);
  expect(response.status).toBe(status);
  expect(response.headers.get('content-type')).toContain('application/problem+json');
  expect(await response.json()).toMatchObject({ type: 'about:blank', status, code, detail: 'because', fields: [{ path: 'a' }], current: { version: 2 } });
});

it('says what is not there', async () => {
  expect(await (await fetch(`${url}/attic`)).json()).toMatchObject({ status: 404, detail: 'there is no GET /attic' });
});

it('ends a reply that had begun rather than writing a second one into it', async () => {
  await expect(fetch(`${url}/late`).then((r) => r.text())).rejects.toThrow();
});
