import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { StoredJuice } from '@trug/contract/plain';
import { isKindMeasured } from '@trug/core/juice/fruit/juice-in-hand';
import { longAshtonClass } from '@trug/core/juice/fruit/long-ashton-class';
import { steepJob } from '@trug/core/juice/fruit/steep-plan';
import { dryAbvOf } from '@trug/core/matter/liquid/views';
import { daysBetween } from '@trug/core/matter/quantity/days';
import { figure } from '@trug/core/base/worked/figures';
import { Tape } from '../../../shared/tape/tape';
import { Units } from '../../../units/units';
import { Cylinder } from '../cylinder/cylinder';
import { juiceColour } from '../cylinder/juice-colour';
import { selectHeldJuices, selectJuicesInHand } from '../juices-in-hand';
import { SugarAcidTannin } from './sugar-acid-tannin';
import { SaidPipe } from '../../../units/said.pipe';
import { juicesFeature } from '../../../state/resources.reducer';
import { LogWriter } from '../../../writing/log-writer';
import { ResourceWriter } from '../../../writing/resource-writer';
import { Refusal } from '../../../shared/refusal/refusal';

const ORIGIN_WORDS = { pressed: 'pressed', bought: 'bought', mill: 'from the mill', concentrate: 'made up', steeped: 'strained' } as const;

/** Juice: what stands in cylinders now, what is known of each, and the ways on. */
@Component({
  selector: 'trug-juice-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe, RouterLink, Cylinder, Tape, SugarAcidTannin, Refusal],
  templateUrl: './juice-place.html',
  styleUrl: './juice-place.scss',
})
export class JuicePlace {
  private readonly store = inject(Store);
  private readonly writer = inject(LogWriter);
  private readonly resources = inject(ResourceWriter);
  protected readonly units = inject(Units);
  protected readonly inHand = this.store.selectSignal(selectJuicesInHand);
  private readonly held = this.store.selectSignal(selectHeldJuices);
  private readonly juices = this.store.selectSignal(juicesFeature.selectAll);
  protected readonly totalL = computed(() => this.inHand().reduce((sum, h) => sum + h.hand.leftL, 0));
  protected readonly tallestL = computed(() => Math.max(1, ...this.inHand().map((h) => h.hand.leftL)));
  protected readonly cards = computed(() =>
    this.inHand().map(({ juice, hand }) => {
      const f = hand.figures;
      const about = (source: string): string => (source === 'typical' ? 'about ' : '');
      return {
        id: juice.id,
        juice,
        leftL: hand.leftL,
        colour: juiceColour(hand.liquid),
        line: `${ORIGIN_WORDS[juice.origin]} ${this.units.day(juice.madeAt)}`,
        lead: this.units.volumeAbout(hand.leftL),
        facts: [
          { typical: f.sg.source === 'typical', text: `${about(f.sg.source)}${this.units.gravity(f.sg.value)}` },
          { typical: f.taGPerL.source === 'typical', text: `${about(f.taGPerL.source)}acid ${figure(f.taGPerL.value, 1)} g/L` },
          { typical: f.ph.source === 'typical', text: `${about(f.ph.source)}pH ${figure(f.ph.value, 2)}` },
          { typical: f.tanninGPerL.source === 'typical', text: `${about(f.tanninGPerL.source)}tannin ${figure(f.tanninGPerL.value, 1)} g/L` },
        ],
        kind: juice.preserved
          ? 'preserved'
          : `${isKindMeasured(f) ? '' : 'likely '}${longAshtonClass({ taGPerL: f.taGPerL.value, tanninGPerL: f.tanninGPerL.value })}`,
        preserved: juice.preserved,
        dry: juice.preserved ? 'will not ferment' : `${figure(dryAbvOf(hand.liquid), 1)} % if dry`,
      };
    }),
  );
  /** Weighed in, but not pressed yet. */
  protected readonly waiting = computed(() =>
    this.juices()
      .filter((j) => j.volumeL === 0 && j.pressing !== null)
      .map((j) => ({ id: j.id, name: j.name, massKg: j.pressing?.lots.reduce((sum, l) => sum + l.massKg, 0) ?? 0 })),
  );
  /** Pulp in water, with what it wants now. */
  protected readonly steeping = computed(() =>
    this.juices().flatMap((juice) => {
      const { steeping } = juice;
      if (!steeping || steeping.strainedAt !== null) return [];
      const now = this.writer.now();
      const day = Math.min(steeping.days, Math.floor(daysBetween(steeping.startedAt, now)) + 1);
      return [{ juice, day, days: steeping.days, job: steepJob(steeping, now) }];
    }),
  );
  protected readonly refusal = signal<string | null>(null);
  protected readonly poured = computed(() => {
    const inHand = new Set(this.inHand().map((h) => h.juice.id));
    return this.held().filter((h) => !inHand.has(h.juice.id) && h.juice.volumeL > 0);
  });

  protected async stirred(juice: StoredJuice): Promise<void> {
    const { steeping } = juice;
    if (steeping)
      this.refusal.set(
        (
          await this.resources.save(
            { of: 'juices', resource: { ...juice, steeping: { ...steeping, stirredAt: [...steeping.stirredAt, this.writer.now()] } } },
            `${juice.name} is stirred.`,
          )
        ).refused,
      );
  }
}
