import { effect, inject, Injectable, signal } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { TitleStrategy, type ActivatedRouteSnapshot, type RouterStateSnapshot } from '@angular/router';
import { Store } from '@ngrx/store';
import { batchesFeature } from '../state/batches.reducer';

/** What stands last in every title. */
const APP = ' · Trug';

/** The route that is shown: the innermost. */
const innermost = (route: ActivatedRouteSnapshot): ActivatedRouteSnapshot => (route.firstChild ? innermost(route.firstChild) : route);

/** Names the window by its page, and by the batch that the page is of, once that is known: two windows are told apart by their tabs. */
@Injectable()
export class PageTitle extends TitleStrategy {
  private readonly title = inject(Title);
  private readonly batches = inject(Store).selectSignal(batchesFeature.selectEntities);
  private readonly page = signal<{ readonly title: string; readonly batchId: string | null } | null>(null);

  constructor() {
    super();
    effect(() => {
      const page = this.page();
      if (!page) return;
      const name = page.batchId === null ? undefined : this.batches()[page.batchId]?.name;
      this.title.setTitle(name === undefined ? page.title : titleOf(page.title, name));
    });
  }

  override updateTitle(state: RouterStateSnapshot): void {
    const title = this.buildTitle(state);
    if (title === undefined) return;
    const { routeConfig, paramMap } = innermost(state.root);
    this.page.set({ title, batchId: routeConfig?.path?.startsWith('batch/') === true ? paramMap.get('id') : null });
  }
}

/** A batch's own page is named by the batch alone, an act by both. */
function titleOf(title: string, batchName: string): string {
  const page = title.replace(APP, '');
  return page === 'Batch' ? `${batchName}${APP}` : `${page} · ${batchName}${APP}`;
}
