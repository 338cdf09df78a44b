import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { Store } from '@ngrx/store';
import { BOTTLE_KINDS, bottleById } from '@trug/core/base/reference/bottle-kinds';
import { countText } from '@trug/core/matter/quantity/count-text';
import { OwnBottleForm } from '../../shared/own-bottle/own-bottle';
import { TypedLine } from '../../shared/field/typed-line';
import { selectSuppliesLeft } from '../../state/supplies.selectors';
import { countProblem, typedCounts, withKind } from './bottle-draft';

/** Which kinds of bottle are filled, and how many of each. */
@Component({
  selector: 'trug-bottle-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatCheckbox, OwnBottleForm, TypedLine],
  template: `
    <fieldset>
      <legend class="visually-hidden">Kinds of bottle</legend>
      @for (kind of kinds(); track kind.id) {
        <div class="kind">
          <mat-checkbox [disableRipple]="true" [checked]="kind.chosen" (change)="choose(kind.id, $event.checked ? kind.all : null)"
            >{{ kind.name }}
            @if (kind.note) {
              <span class="option-note">{{ kind.note }}</span>
            }
          </mat-checkbox>
          @if (kind.chosen) {
            <trug-line
              class="count slim"
              [name]="'count-' + kind.id"
              inputmode="numeric"
              [text]="kind.count"
              placeholder="all"
              [spoken]="'How many ' + kind.name"
              [say]="kind.problem ?? ''"
              [isWrong]="kind.problem !== null"
              (left)="choose(kind.id, $event)"
            />
          }
        </div>
      }
      <ng-content />
    </fieldset>
    @defer (when ownOpen()) {
      <trug-own-bottle (made)="choose($event.id, $event.count.toString())" />
    } @placeholder {
      <button class="link" type="button" (click)="ownOpen.set(true)">A bottle of my own</button>
    }
  `,
  styles: `
    fieldset {
      margin: 0;
      padding: 0;
      border: 0;
    }
    .kind {
      display: flex;
      align-items: center;
      justify-content: space-between;
      gap: 0.5rem;
      min-height: 40px;
      border-bottom: 1px dotted var(--line);
      font-size: 0.9375rem;
    }
    .count {
      width: 5rem;
    }
  `,
})
export class BottleChoice {
  private readonly supplies = inject(Store).selectSignal(selectSuppliesLeft);
  /** As the bench's draft keeps them. */
  readonly bottles = input.required<string>();
  readonly changed = output<string>();
  /** Whether the form for another kind was asked for. */
  protected readonly ownOpen = signal(false);
  private readonly owned = computed(
    () =>
      new Map(
        this.supplies()
          .filter((s) => s.kind === 'bottles' && s.refId !== null && s.left > 0)
          .map((s) => [s.refId ?? '', s.left]),
      ),
  );
  protected readonly kinds = computed(() => {
    const typed = new Map(typedCounts(this.bottles()).map(({ kindId, count }) => [kindId, count]));
    const ids = new Set([...BOTTLE_KINDS.map((k) => k.id), ...this.owned().keys(), ...typed.keys()]);
    return [...ids].map((id) => {
      const left = this.owned().get(id);
      const count = typed.get(id);
      return {
        ...{ id, name: bottleById(id).name, chosen: count !== undefined, count: count ?? '', problem: countProblem(count ?? '') },
        // Of one's own there are so many; of a usual kind as many as there is drink for.
        all: left === undefined ? '' : String(left),
        note: left === undefined ? '' : `${countText(left, 'bottle')} in the cupboard`,
      };
    });
  });

  protected choose(kindId: string, count: string | null): void {
    this.changed.emit(withKind(this.bottles(), kindId, count));
  }
}
