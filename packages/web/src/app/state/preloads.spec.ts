import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { TrugApi } from './trug-api';

it('the page asks for what the app opens with, and for nothing else', () => {
  const html = readFileSync(join(process.cwd(), 'packages/web/src/index.html'), 'utf8');
  const preloaded = [...html.matchAll(/rel="preload" href="([^"]+)" as="fetch" crossorigin/g)].map(([, path]) => path);
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting()] });
  TestBed.inject(TrugApi).load().subscribe();
  const asked = TestBed.inject(HttpTestingController).match(() => true);
  expect(preloaded.sort()).toEqual(asked.map(({ request }) => request.url).sort());
});
