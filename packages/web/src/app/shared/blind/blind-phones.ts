import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, type OnInit, output, signal } from '@angular/core';
import { pressesOf, type BlindSession } from '@trug/core/finish/trial/blind-session';
import type { TrialWay } from '@trug/core/finish/trial/trial-substance';
import { qrPath } from '../qr/qr-path';
import { Refusal } from '../refusal/refusal';
import { TastingApi, type TastingAnswer } from './tasting-api';

/** How often it is asked who has judged, ms. */
const ASK_EVERY_MS = 1500;

/** Everybody judges on a phone of their own, by a link on the house's network; this page says who has. */
@Component({
  selector: 'trug-blind-phones',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Refusal],
  template: `
    <h2>Each on their own phone</h2>
    @if (link(); as at) {
      <p>Whoever is on the house’s network holds a phone to the square, or types the address, and says who they are.</p>
      <div class="way-in">
        <svg [attr.viewBox]="box()" role="img" [attr.aria-label]="'The way in: ' + at" shape-rendering="crispEdges">
          <path class="paper" [attr.d]="'M-2-2h' + (code().size + 4) + 'v' + (code().size + 4) + 'h-' + (code().size + 4) + 'z'" />
          <path class="ink" [attr.d]="code().path" />
        </svg>
        <div>
          @for (address of links(); track address) {
            <p class="address num">{{ address }}</p>
          }
          <ul>
            @for (taster of tasters(); track taster.name) {
              <li [class.done]="taster.isDone">{{ taster.name }}: {{ taster.isDone ? 'has judged' : taster.begun ? 'is tasting' : 'not yet' }}</li>
            }
          </ul>
        </div>
      </div>
      <p class="quiet" role="status">{{ judged() }} of {{ names().length }} have judged.</p>
      <p class="hint">They see the numbers on their glasses and nothing else of yours. The way in is shut when all have judged, or by the button below.</p>
    } @else if (refused() === null) {
      <p role="status">Opening the way in …</p>
    }
    <trug-refusal [why]="refused()" />
    <div class="acts">
      @if (refused() !== null) {
        <button class="btn" type="button" (click)="open()">Try again</button>
      }
      <button class="btn" type="button" (click)="handRound()">Hand this one round instead</button>
    </div>
  `,
  styles: `
    h2 {
      margin: 0 0 0.5rem;
      font-size: 1.375rem;
    }
    .way-in {
      display: flex;
      flex-wrap: wrap;
      gap: 1.5rem;
      align-items: start;
    }
    svg {
      width: min(14rem, 100%);
    }
    .paper {
      fill: #fff;
    }
    .ink {
      fill: #000;
    }
    .address {
      margin: 0 0 0.5rem;
      font-size: 1.125rem;
      overflow-wrap: anywhere;
    }
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    .done {
      color: var(--leaf);
      font-weight: 600;
    }
  `,
})
export class BlindPhones implements OnInit {
  private readonly api = inject(TastingApi);
  private readonly destroyed = inject(DestroyRef);
  readonly session = input.required<BlindSession>();
  readonly way = input.required<TrialWay>();
  readonly names = input.required<readonly string[]>();
  readonly pressed = input.required<readonly (readonly number[])[]>();
  readonly pressedNow = output<readonly (readonly number[])[]>();
  /** This phone goes round after all. */
  readonly instead = output();
  protected readonly links = signal<readonly string[]>([]);
  protected readonly refused = signal<string | null>(null);
  protected readonly link = computed(() => this.links()[0] ?? null);
  protected readonly code = computed(() => qrPath(this.link() ?? ''));
  protected readonly box = computed(() => `-2 -2 ${this.code().size + 4} ${this.code().size + 4}`);
  protected readonly tasters = computed(() =>
    this.names().map((name, i) => {
      const named = this.pressed()[i]?.length ?? 0;
      return { name, begun: named > 0, isDone: named === pressesOf(this.way(), this.session().served[i]?.length ?? 0) };
    }),
  );
  private readonly codes = computed(() => this.names().map((_name, i) => (this.session().served[i] ?? []).map(({ code }) => code)));
  protected readonly judged = computed(() => this.tasters().filter(({ isDone }) => isDone).length);

  ngOnInit(): void {
    const asking = setInterval(() => void this.ask(), ASK_EVERY_MS);
    this.destroyed.onDestroy(() => {
      clearInterval(asking);
      void this.api.shut();
    });
    void this.begin();
  }

  /** A page that comes again finds its door open, and the guests theirs. */
  private async begin(): Promise<void> {
    const there = await this.api.now();
    if ('now' in there && JSON.stringify(there.now?.codes) === JSON.stringify(this.codes())) this.take(there);
    else await this.open();
  }

  protected async open(): Promise<void> {
    this.refused.set(null);
    const tasters = this.names().map((name, i) => ({
      name,
      codes: [...(this.codes()[i] ?? [])],
      pressed: [...(this.pressed()[i] ?? [])],
    }));
    this.take(await this.api.open({ way: this.way(), tasters }));
  }

  private async ask(): Promise<void> {
    if (this.link() !== null) this.take(await this.api.now());
  }

  private take(answer: TastingAnswer): void {
    if (this.destroyed.destroyed) return;
    const now = 'now' in answer ? answer.now : null;
    this.links.set(now?.links ?? []);
    this.refused.set('refused' in answer ? answer.refused : now === null ? 'The way in is shut: nobody came for hours, or Trug was begun anew.' : null);
    if (now && JSON.stringify(now.pressed) !== JSON.stringify(this.pressed())) this.pressedNow.emit(now.pressed);
  }

  protected handRound(): void {
    this.instead.emit();
  }
}
