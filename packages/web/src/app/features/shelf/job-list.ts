import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { JobKind, JobUrgency } from '@trug/core';
import { juiceJobs } from '@trug/core/book/plan/juice-jobs';
import { vesselJobs } from '@trug/core/book/plan/vessel-jobs';
import { selectDirtyVessels } from '../../state/free-vessels';
import { selectJobs, selectZone } from '../../state/batch-views.selectors';
import { SaidPipe } from '../../units/said.pipe';
import { appFeature } from '../../state/app.reducer';
import { juicesFeature } from '../../state/resources.reducer';
import { vesselsFeature } from '../../state/vessels.reducer';

const HEADS: readonly { readonly urgency: JobUrgency; readonly title: string }[] = [
  { urgency: 'overdue', title: 'Overdue' },
  { urgency: 'today', title: 'Today' },
  { urgency: 'week', title: 'This week' },
  { urgency: 'later', title: 'Later' },
];

/** Where each kind of job is done, and the verb on its button. */
const ACTS: Readonly<Record<JobKind, { readonly page: string; readonly verb: string }>> = {
  stir: { page: '', verb: 'Stir' },
  strain: { page: '', verb: 'Strain' },
  pitch: { page: 'pitch', verb: 'Pitch' },
  step: { page: 'pitch', verb: 'Do it' },
  'restart-step': { page: 'restart', verb: 'Do it' },
  'clear-step': { page: 'clear', verb: 'Do it' },
  read: { page: 'read', verb: 'Read' },
  'second-reading': { page: 'read', verb: 'Read' },
  warm: { page: 'move', verb: 'Move it' },
  restart: { page: 'restart', verb: 'Look' },
  stabilise: { page: 'test', verb: 'Test it' },
  rack: { page: 'rack', verb: 'Rack' },
  look: { page: '', verb: 'Look' },
  release: { page: '', verb: 'Let it out' },
  malolactic: { page: 'malolactic', verb: 'Taste' },
  clean: { page: '', verb: 'Clean' },
  bottle: { page: 'bottle', verb: 'Bottle' },
  'test-bottle': { page: 'note', verb: 'Note it' },
  'open-one': { page: '', verb: 'Open' },
};

/** What is due, most urgent first, each with the button that does it. */
@Component({
  selector: 'trug-job-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, RouterLink],
  template: `
    <h2>What is due</h2>
    @for (group of groups(); track group.urgency) {
      <section [class]="group.urgency" [attr.aria-label]="group.title">
        <h3 [class.late]="group.urgency === 'overdue'">
          <span>{{ group.title }}</span
          ><span>{{ group.jobs.length }}</span>
        </h3>
        <ul>
          @for (job of group.jobs; track job.id) {
            <li>
              <span class="swatch" [style.background]="'var(--tape-' + job.tape + ')'"></span>
              <div>
                <b>{{ job.title | said }}</b>
                <p>{{ job.detail | said }}</p>
              </div>
              <a class="btn btn-small" [routerLink]="job.link" [attr.aria-label]="job.verb + ': ' + job.title">{{ job.verb }}</a>
            </li>
          }
        </ul>
      </section>
    } @empty {
      <p class="quiet">Nothing is due. Jobs appear here by themselves from what you write down.</p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 1.375rem 1.125rem 2rem;
      border-left: 1px solid var(--line);
      background: var(--surface);
    }
    h3 {
      display: flex;
      justify-content: space-between;
      margin-top: 1rem;
      padding-bottom: 0.375rem;
      border-bottom: 1px solid var(--line);
      color: var(--quiet);
      font: 600 0.875rem var(--text);
    }
    .late {
      color: var(--danger);
    }
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 12px 1fr auto;
      gap: 0 0.625rem;
      align-items: start;
      padding: 0.625rem 0;
      border-bottom: 1px dotted var(--line);
    }
    .swatch {
      height: 20px;
      margin-top: 2px;
      border: 1px solid var(--line);
    }
    b {
      font: 600 1rem / 1.3 var(--head);
    }
    p {
      margin: 0.125rem 0 0;
      color: var(--quiet);
      font-size: 0.875rem;
      line-height: 1.4;
    }
    @media (max-width: 1023px) {
      :host {
        border-left: 0;
        border-block: 1px solid var(--line);
        padding: 1rem;
      }
    }
  `,
})
export class JobList {
  private readonly store = inject(Store);
  private readonly zone = this.store.selectSignal(selectZone);
  private readonly ofBatches = this.store.selectSignal(selectJobs);
  private readonly juices = this.store.selectSignal(juicesFeature.selectAll);
  private readonly dirty = this.store.selectSignal(selectDirtyVessels);
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectVesselById);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  private readonly jobs = computed(() => [
    ...(this.now() === '' ? [] : juiceJobs(this.juices(), this.now(), this.zone())).map((job) => ({
      ...job,
      place: job.kind === 'strain' ? ['/juice', job.juiceId] : ['/juice'],
    })),
    ...this.ofBatches().map((job) => ({ ...job, tape: job.batch.tape, place: ['/batch', job.batch.id] })),
    ...vesselJobs(this.dirty(), (id) => this.vessels().get(id)?.name ?? 'a vessel', this.now(), this.zone()).map((job) => ({
      ...job,
      tape: 'slate',
      place: ['/cupboard'],
    })),
  ]);
  protected readonly groups = computed(() =>
    HEADS.map(({ urgency, title }) => ({
      urgency,
      title,
      jobs: this.jobs()
        .filter((job) => job.urgency === urgency)
        .map((job) => {
          const { page, verb } = ACTS[job.kind];
          return { ...job, verb, link: [...job.place, ...(page === '' ? [] : [page])] };
        }),
    })).filter((group) => group.jobs.length > 0),
  );
}
