import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatCheckbox } from '@angular/material/checkbox';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { attempt } from '@trug/core/base/errors/attempt';
import { isWithin } from '@trug/core/base/errors/guards';
import { LIMITS } from '@trug/core/base/errors/limits';
import type { ComparedPayload } from '@trug/core';
import { drinkKey, drinksOf, takenToTaste, type DrinkToTaste } from '@trug/core/book/tasting/drinks-to-taste';
import { blindSession, pouredL, saidOf } from '@trug/core/finish/trial/blind-session';
import { MOST_RANKED } from '@trug/core/finish/trial/taste-tests';
import { TRIAL_WAYS } from '@trug/core/finish/trial/trial-substance';
import { newId } from '../../browser/new-id';
import { newSeed } from '../../browser/new-seed';
import { keptOf, namesIn, pressedOf, WAY_NAMES } from '../../shared/blind/blind-draft';
import { BlindTasting } from '../../shared/blind/blind-tasting';
import { BlindTold } from '../../shared/blind/blind-told';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { TextField } from '../../shared/field/text-field';
import { ToggleField } from '../../shared/field/toggle-field';
import { Refusal } from '../../shared/refusal/refusal';
import { Tape } from '../../shared/tape/tape';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { createDraft } from '../../writing/draft';
import { type Act, LogWriter } from '../../writing/log-writer';

const FIELDS = { stage: 'set', drinks: '', glass: '', way: 'rank', names: '', seed: '', tasting: '', pressed: '', text: '' };
const USUAL_GLASS_ML = 60;

/** Several drinks of the house side by side, judged blind: the same juice by two yeasts, or last year beside this. */
@Component({
  selector: 'trug-compare-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [BlindTasting, BlindTold, MatCheckbox, QuantityField, ReactiveFormsModule, Refusal, RouterLink, SaidPipe, Tape, TextField, ToggleField],
  templateUrl: './compare-page.html',
  styleUrl: './compare-page.scss',
})
export class ComparePage {
  private readonly writer = inject(LogWriter);
  private readonly router = inject(Router);
  protected readonly units = inject(Units);
  private readonly views = inject(Store).selectSignal(selectBatchViews);
  protected readonly draft = createDraft('compare', FIELDS);
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  protected readonly ways = TRIAL_WAYS.map((id) => ({ id, name: WAY_NAMES[id] }));
  protected readonly way = computed(() => TRIAL_WAYS.find((w) => w === this.fields().way) ?? 'rank');
  /** All that can be poured, with what tells it from others of its batch. */
  protected readonly there = computed(() =>
    this.views().flatMap(({ batch, state }) =>
      drinksOf(batch, state).map((drink) => ({
        drink,
        key: drinkKey(drink),
        tape: batch.tape,
        note: this.whereOf(drink),
        chosen: this.keys().includes(drinkKey(drink)),
      })),
    ),
  );
  private readonly keys = computed(() =>
    this.fields()
      .drinks.split(' ')
      .filter((key) => key !== ''),
  );
  /** In the order in which they were chosen, so that a number stands for the same drink whatever else the house makes meanwhile. */
  protected readonly chosen = computed(() => this.keys().flatMap((key) => this.there().find((d) => d.key === key) ?? []));
  protected readonly words = computed(() =>
    this.chosen().map(({ drink, note }, _i, all) => (all.filter((o) => o.drink.name === drink.name).length > 1 ? `${drink.name}, ${note}` : drink.name)),
  );
  protected readonly names = computed(() => namesIn(this.fields().names));
  protected readonly glassMl = computed(() => 1000 * (numberIn(readQuantity(this.units, this.fields().glass, 'volume')) ?? USUAL_GLASS_ML / 1000));
  protected readonly session = computed(() => {
    const { seed } = this.fields();
    const drinks = this.chosen().length;
    // What was emptied elsewhere meanwhile cannot be judged any more.
    return seed === '' || drinks < 2 || drinks < this.keys().length
      ? null
      : blindSession({ way: this.way(), drinks, tasters: this.names().length, seed: Number(seed) });
  });
  protected readonly pressed = computed(() => pressedOf(this.fields().pressed));
  protected readonly told = computed(() => {
    const session = this.session();
    if (!session || this.fields().stage !== 'told') return null;
    const said = saidOf(session, this.pressed(), this.way());
    return { way: this.way(), judged: this.names().map((name, i) => ({ name, said: said[i] ?? [] })) };
  });
  /** What hinders the tasting; null when nothing does. */
  private readonly hindrance = computed((): string | null => {
    const drinks = this.chosen().length;
    if (drinks < 2) return 'Choose two drinks at least.';
    if (drinks > MOST_RANKED) return `More than ${MOST_RANKED} at once nobody tastes well: leave some for another evening.`;
    if (this.way() === 'triangle' && drinks !== 2) return 'To find the odd one there are two drinks, not more.';
    if (!isWithin(this.glassMl(), LIMITS.trialGlassMl)) {
      return `A glass holds between ${LIMITS.trialGlassMl.min} and ${LIMITS.trialGlassMl.max} mL. Write it as ${this.units.volume(0.06)}.`;
    }
    if (this.names().length === 0) return 'Say who tastes: a name is enough.';
    const session = blindSession({ way: this.way(), drinks, tasters: this.names().length, seed: 0 });
    // By a seed the triangles of a few are poured otherwise: the most that any could take of one drink is looked at.
    const most = this.way() === 'triangle' ? (2 * this.names().length * this.glassMl()) / 1000 : pouredL(session, 0, this.glassMl());
    for (const { drink } of this.chosen()) {
      const taken = this.takenOf(drink, most);
      if (!taken.ok) return `${taken.error.message}.`;
    }
    return null;
  });

  /** Where a drink stands, which tells it from others of its batch. */
  private whereOf({ from }: DrinkToTaste): string {
    if (from === 'vessel') return 'from its vessel';
    if (from === 'keg') return 'from its keg';
    return `bottled ${this.units.day(from.bottledAt)}, ${from.capColour} caps`;
  }

  private takenOf(drink: DrinkToTaste, litres: number) {
    const standingL = this.views().find(({ batch }) => batch.id === drink.batchId)?.state.liquid?.volumeL ?? 0;
    return attempt(() => takenToTaste(drink, litres, standingL));
  }

  protected choose(key: string, on: boolean): void {
    const others = this.keys().filter((k) => k !== key);
    this.draft.set('drinks', (on ? [...others, key] : others).join(' '));
  }

  protected begin(): void {
    const wrong = this.draft.wrong() ?? this.hindrance();
    this.refusal.set(wrong);
    if (wrong === null) this.draft.fields.update((now) => ({ ...now, stage: 'pour', seed: String(newSeed()), tasting: newId(), pressed: '' }));
  }

  protected press(pressed: readonly (readonly number[])[]): void {
    this.draft.set('pressed', keptOf(pressed));
  }

  protected go(stage: string): void {
    this.draft.set('stage', stage);
  }

  protected async file(): Promise<void> {
    const [session, told] = [this.session(), this.told()];
    if (!session || !told) return;
    // Of the tasting and not of the press: pressed again it is the same.
    const tastingId = this.fields().tasting;
    const drinks: ComparedPayload['drinks'] = this.chosen().map(({ drink: { batchId, from } }, i) => ({
      batchId,
      name: this.words()[i] ?? '',
      crateId: typeof from === 'string' ? null : from.id,
    }));
    const each = this.chosen().flatMap(({ drink }, own) => {
      const view = this.views().find(({ batch }) => batch.id === drink.batchId);
      const taken = this.takenOf(drink, pouredL(session, own, this.glassMl()));
      if (!view) return [];
      const payload = { tastingId, drinks, own, glassMl: this.glassMl(), text: this.fields().text.trim(), ...told };
      const acts: readonly Act[] = [{ kind: 'compared', payload }, ...(taken.ok ? [taken.value] : [])];
      return acts.map((act) => ({ view, act }));
    });
    this.refusal.set(await this.writer.writeEach(each, 'The tasting is written down, in the log of each.', this.draft));
    if (this.refusal() === null) await this.router.navigate(['/cellar/liked']);
  }
}
