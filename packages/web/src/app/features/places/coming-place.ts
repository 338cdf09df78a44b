import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';

interface Coming {
  readonly title: string;
  readonly says: string;
  readonly link: string;
  readonly verb: string;
}

const COMING: Readonly<Record<string, Coming>> = {
  year: {
    title: 'Year',
    says: 'Here you will see the whole season at once, a band for each batch and a peg for each job.',
    link: '/shelf',
    verb: 'See what is due',
  },
  practice: {
    title: 'Practice',
    says: 'Here you will read drawn hydrometers and judge ferments without wasting juice.',
    link: '/shelf',
    verb: 'Back to the shelf',
  },
};
const LOST: Coming = { title: 'Nothing here', says: 'There is no such place in Trug.', link: '/shelf', verb: 'To the shelf' };

/** A place that is not built yet: one sentence on what will stand there, and a way on. */
@Component({
  selector: 'trug-coming-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    <section class="page">
      <h1>{{ coming().title }}</h1>
      <p class="says">{{ coming().says }}</p>
      <a class="btn" [routerLink]="coming().link">{{ coming().verb }}</a>
    </section>
  `,
  styles: `
    .says {
      max-width: 34rem;
      font-size: 1.125rem;
    }
  `,
})
export class ComingPlace {
  readonly place = input('');
  protected readonly coming = computed(() => COMING[this.place()] ?? LOST);
}
