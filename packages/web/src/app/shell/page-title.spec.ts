import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Title } from '@angular/platform-browser';
import { provideRouter, Router, TitleStrategy } from '@angular/router';
import { provideStore, Store } from '@ngrx/store';
import { filled, sampleBatch } from '../../testing/sample-batch';
import { BatchApiActions } from '../state/batches.actions';
import { provideTrugState } from '../state/provide-state';
import { PageTitle } from './page-title';

const page = (path: string, title: string) => ({ path, title, children: [] });

describe('PageTitle', () => {
  it('names the page, and the batch as soon as that is known', async () => {
    const routes = [page('batch/:id', 'Batch · Trug'), page('batch/:id/rack', 'Rack · Trug'), page('juice/:id', 'Juice · Trug'), page('', 'Shelf · Trug')];
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideRouter(routes),
        provideStore(),
        ...provideTrugState(),
        { provide: TitleStrategy, useClass: PageTitle },
      ],
    });
    const titleAt = async (url: string): Promise<string> => {
      await TestBed.inject(Router).navigateByUrl(url);
      TestBed.tick();
      return TestBed.inject(Title).getTitle();
    };
    const batch = sampleBatch([filled()]);
    expect(await titleAt(`/batch/${batch.id}`)).toBe('Batch · Trug');
    TestBed.inject(Store).dispatch(BatchApiActions.logsFetched({ batches: [batch] }));
    TestBed.tick();
    expect(TestBed.inject(Title).getTitle()).toBe(`${batch.name} · Trug`);
    expect(await titleAt(`/batch/${batch.id}/rack`)).toBe(`Rack · ${batch.name} · Trug`);
    expect([await titleAt(`/juice/${batch.id}`), await titleAt('/'), await titleAt('/batch/01B99999999999999999999999')]).toEqual([
      'Juice · Trug',
      'Shelf · Trug',
      'Batch · Trug',
    ]);
  });
});
