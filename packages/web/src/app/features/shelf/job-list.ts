import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { JobKind, JobUrgency } from '@trug/core';
import { wantedJobs } from '@trug/core/book/plan/put-off';
import { juiceJobs } from '@trug/core/book/plan/juice-jobs';
import { washText } from '@trug/core/book/plan/vessel-jobs';
import { countText } from '@trug/core/matter/quantity/count-text';
import { vesselJobs } from '@trug/core/book/plan/vessel-jobs';
import { selectDirtyVessels } from '../../state/free-vessels';
import { selectJobs, selectZone } from '../../state/batch-views.selectors';
import { settingsFeature } from '../../state/settings.reducer';
import { JobMenu } from './job-menu';
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
  strain: { page: 'strain', verb: 'Strain' },
  pitch: { page: 'pitch', verb: 'Pitch' },
  step: { page: 'pitch', verb: 'Do it' },
  'restart-step': { page: 'restart', verb: 'Do it' },
  'keeve-step': { page: 'keeve', verb: 'Do it' },
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
  taste: { page: 'taste', verb: 'Taste' },
  lift: { page: 'infuse', verb: 'Take it out' },
  clean: { page: '', verb: 'Clean' },
  bottle: { page: 'bottle', verb: 'Bottle' },
  heat: { page: 'heat', verb: 'Heat them' },
  'heat-late': { page: 'heat', verb: 'Make safe' },
  'test-bottle': { page: 'squeeze', verb: 'Squeeze' },
  'test-hard': { page: 'squeeze', verb: 'Make safe' },
  'open-one': { page: '', verb: 'Open' },
  'keg-ready': { page: 'take-out', verb: 'Draw some' },
  'keg-release': { page: 'let-off', verb: 'Let it off' },
  'keg-valve': { page: 'let-off', verb: 'Try it' },
};

/** What is due, most urgent first, each with the button that does it. */
@Component({
  selector: 'trug-job-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, RouterLink, JobMenu],
  templateUrl: './job-list.html',
  styleUrl: './job-list.scss',
  host: { '[class.whole]': 'whole()' },
})
export class JobList {
  private readonly store = inject(Store);
  private readonly zone = this.store.selectSignal(selectZone);
  private readonly ofBatches = this.store.selectSignal(selectJobs);
  private readonly juices = this.store.selectSignal(juicesFeature.selectAll);
  private readonly dirty = this.store.selectSignal(selectDirtyVessels);
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectVesselById);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  private readonly settings = this.store.selectSignal(settingsFeature.selectSettings);
  /** Jobs of juices and empty vessels, as the maker wants them. */
  private readonly ofOthers = computed(() => {
    if (this.now() === '') return [];
    const { putOff } = this.settings();
    const ofJuices = wantedJobs(juiceJobs(this.juices(), this.now(), this.zone()), putOff, this.now(), this.zone());
    const ofVessels = wantedJobs(
      vesselJobs(this.dirty(), (id) => this.nameOf(id), this.now(), this.zone()),
      putOff,
      this.now(),
      this.zone(),
    );
    return [
      ...ofJuices.map((job) => ({ ...job, link: job.kind === 'strain' ? ['/juice', job.juiceId] : ['/juice'], fragment: '' })),
      ...ofVessels.map((job) => ({ ...job, tape: 'slate', link: ['/cupboard'], fragment: job.id.split(':')[0] ?? '' })),
    ];
  });
  private readonly jobs = computed(() => [
    ...this.ofBatches().map((job) => ({ ...job, tape: job.batch.tape, link: linkOf(job.batch.id, job.kind), fragment: '' })),
    ...this.ofOthers(),
  ]);
  /** Ids of jobs whose every word is shown. */
  protected readonly opened = signal<ReadonlySet<string>>(new Set());
  /** Whether a phone shows more than the most urgent. */
  protected readonly whole = signal(false);
  protected readonly groups = computed(() => {
    let place = 0;
    return HEADS.map(({ urgency, title }) => {
      const jobs = this.jobs().filter((job) => job.urgency === urgency);
      const rows = foldAlike(jobs).map((alike) => {
        const [first] = alike;
        place += 1;
        return {
          ...first,
          verb: ACTS[first.kind].verb,
          fragment: alike.length === 1 && first.fragment !== '' ? first.fragment : undefined,
          title: alike.length === 1 ? first.title : `Clean ${countText(alike.length, 'vessel')}`,
          detail: alike.length === 1 ? first.detail : `${alike.map((job) => this.nameOf(job.fragment)).join(', ')}. ${washText('each')}`,
          single: alike.length === 1,
          beyond: place > MOST_ON_A_PHONE,
        };
      });
      return { urgency, title, count: jobs.length, rows };
    }).filter((group) => group.rows.length > 0);
  });
  protected readonly beyond = computed(() => this.groups().flatMap((group) => group.rows.filter((row) => row.beyond)).length);

  private nameOf(vesselId: string): string {
    return this.vessels().get(vesselId)?.name ?? 'a vessel';
  }

  protected toggle(id: string): void {
    this.opened.update((open) => new Set(open.has(id) ? [...open].filter((other) => other !== id) : [...open, id]));
  }
}

/** A phone shows this many jobs before the shelf. */
const MOST_ON_A_PHONE = 3;

/** The page of a batch on which a job is done; the batch itself where none is. */
function linkOf(batchId: string, kind: JobKind): string[] {
  const { page } = ACTS[kind];
  return ['/batch', batchId, ...(page === '' ? [] : [page])];
}

/** Vessels to clean are one row: they are done at one sink. */
function foldAlike<J extends { readonly kind: JobKind }>(jobs: readonly J[]): readonly [J, ...J[]][] {
  const rows = jobs.filter((job) => job.kind !== 'clean').map((job): [J, ...J[]] => [job]);
  const [first, ...rest] = jobs.filter((job) => job.kind === 'clean');
  return first === undefined ? rows : [...rows, [first, ...rest]];
}
