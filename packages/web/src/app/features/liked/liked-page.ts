import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { judgedBatch, likedApart, type Trait } from '@trug/core/book/tasting/liked-apart';
import { tastedTogether } from '@trug/core/book/tasting/comparisons';
import { wasLiked } from '@trug/core/book/tasting/tastings';
import { countText } from '@trug/core/matter/quantity/count-text';
import { outcomeWords } from '../../shared/blind/outcome-words';
import { Tape } from '../../shared/tape/tape';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { Units } from '../../units/units';
import { STRIP_H, STRIP_W, stripOf } from './strip-geometry';

const TRAIT_NAMES: Readonly<Record<Trait, string>> = {
  abv: 'Strength',
  sweetness: 'Sweetness',
  acid: 'Acid',
  tannin: 'Tannin',
  fizz: 'Fizz',
  warmth: 'Warmth while it worked',
  days: 'Yeast to bottle',
};
/** Rarer than this is told as one in so many. */
const COMMON = 0.4;

/** What was liked: every tasted batch, and in which figures the liked differ from the less liked, as far as so few can say. */
@Component({
  selector: 'trug-liked-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, Tape],
  templateUrl: './liked-page.html',
  styleUrl: './liked-page.scss',
})
export class LikedPage {
  private readonly units = inject(Units);
  private readonly views = inject(Store).selectSignal(selectBatchViews);
  protected readonly box = `0 0 ${STRIP_W} ${STRIP_H}`;
  private readonly tasted = computed(() => this.views().filter(({ summary }) => summary.tastings.length > 0));
  private readonly judged = computed(() => this.tasted().flatMap(({ state, summary }) => judgedBatch(state, summary.tastings) ?? []));
  protected readonly apart = computed(() => likedApart(this.judged()));
  protected readonly batches = computed(() =>
    this.tasted().map(({ batch, summary: { tastings } }) => {
      const last = tastings.at(-1);
      const scores = tastings.flatMap((t) => t.sheet?.score ?? []);
      const liked = wasLiked(tastings);
      return {
        id: batch.id,
        name: batch.name,
        tape: batch.tape,
        liked: liked === null ? 'not said' : liked ? 'liked' : 'liked less',
        isLiked: liked === true,
        scores: scores.length === 0 ? '' : `${scores.join(', ')} of 10`,
        times: `tasted ${tastings.length === 1 ? 'once' : countText(tastings.length, 'time')}, last on ${last ? this.units.day(last.at) : ''}`,
        said: last?.text ?? '',
      };
    }),
  );
  protected readonly together = computed(() =>
    tastedTogether(this.views().flatMap(({ summary }) => summary.compared)).map(({ tastingId, at, drinks, judged, way, text }) => {
      const names = drinks.map(({ name }) => name);
      const { headline, sure } = outcomeWords({ way, judged }, names);
      return {
        id: tastingId,
        outcome: headline,
        names: names.join(' beside '),
        when: this.units.day(at),
        tasters: countText(judged.length, 'taster'),
        sure,
        text,
      };
    }),
  );
  protected readonly strips = computed(() =>
    this.apart().looked.map(({ trait, liked, less, chance, isTold }) => {
      const strip = stripOf(this.judged(), trait, { liked, less });
      const [ours, theirs] = [this.figure(trait, liked), this.figure(trait, less)];
      return {
        trait,
        name: TRAIT_NAMES[trait],
        strip,
        low: this.figure(trait, strip.low),
        high: this.figure(trait, strip.high),
        isTold,
        words: `${ours} in the middle of the liked, ${theirs} of the less liked`,
        chance: isTold
          ? `So far apart by chance once in ${Math.round(1 / chance)} cellars.`
          : chance > COMMON
            ? 'Chance alone would often do as much.'
            : `Chance alone does as much once in ${Math.round(1 / chance)} cellars: too often to count on.`,
      };
    }),
  );

  private figure(trait: Trait, value: number): string {
    switch (trait) {
      case 'abv':
        return this.units.percent(value);
      case 'fizz':
        return `${value.toFixed(1)} volumes`;
      case 'warmth':
        return this.units.temperature(value);
      case 'days':
        return countText(Math.round(value), 'day');
      default:
        return `${value.toFixed(1)} g/L`;
    }
  }
}
