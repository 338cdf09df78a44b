import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Check, MessageCircleQuestionMark, Minus, Pencil, Plus, TriangleAlert, type IconNode } from 'lucide';

/** The strokes of an icon; all that Trug uses are drawn with a pen alone. */
type Strokes = readonly string[];
const strokes = (icon: IconNode): Strokes => icon.map(([, { d }]) => String(d));

/** The places of a shed, drawn for Trug: the widely used sets have boxes for most of them. */
const PLACES = {
  /** Two planks with what stands on them. */
  shelf: [
    'M3 11h18M3 20.5h18',
    'M5 11V6h4v5M6 6V3.5h2V6',
    'M14 11V7.5h5V11',
    'M5.5 20.5v-4.5h3.5v4.5',
    'M13 20.5v-5c0-1 .8-1.2.8-2.2V12.5h2v.8c0 1 .8 1.2.8 2.2v5',
  ],
  /** A tall glass, part poured. */
  juice: ['M7 3h10l-1.2 17.5H8.2Z', 'M7.6 11.5h8.8'],
  /** Bands of a season, one after another. */
  year: ['M3 4v16', 'M3 7h9', 'M7 12h11', 'M13 17h8', 'M12 5.5v3', 'M18 10.5v3'],
  /** A crate with the caps of its bottles. */
  cellar: [
    'M3 10h18v10H3Z',
    'M3 15h18',
    'M5.5 10V7.5M8.5 10V7.5M12 10V7.5M15.5 10V7.5M18.5 10V7.5',
    'M4.8 6.5h1.4M7.8 6.5h1.4M11.3 6.5h1.4M14.8 6.5h1.4M17.8 6.5h1.4',
  ],
  /** A stem afloat in its jar. */
  practice: ['M7 4v16.5h10V4', 'M7 9h3M14 9h3', 'M12 2v9', 'M10.6 11h2.8v5.5l-1.4 1.8-1.4-1.8Z'],
  /** A cupboard, its doors and its drawer. */
  cupboard: ['M4 3h16v15H4Z', 'M6 18v3M18 18v3', 'M12 3v10M4 13h16', 'M10 8v1M14 8v1M11 15.5h2'],
  /** Weights slid along their bars. */
  settings: ['M3 8h18M3 16h18', 'M8 5.5v5M16 13.5v5'],
} as const;

/** The icons Trug uses, by what they mean here. */
const ICONS = {
  ...PLACES,
  yes: strokes(Check),
  note: strokes(Minus),
  warn: strokes(TriangleAlert),
  write: strokes(Pencil),
  add: strokes(Plus),
  why: strokes(MessageCircleQuestionMark),
} as const satisfies Readonly<Record<string, Strokes>>;

/** The name of an icon. */
export type IconName = keyof typeof ICONS;

/** One line icon, always beside a word, so it is hidden from screen readers. */
@Component({
  selector: 'trug-icon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="1.75" stroke-linecap="round" stroke-linejoin="round" aria-hidden="true">
      @for (d of strokes(); track $index) {
        <path [attr.d]="d" />
      }
    </svg>
  `,
  styles: `
    :host {
      display: inline-flex;
      width: 1.375em;
      height: 1.375em;
      flex: none;
    }
    svg {
      width: 100%;
      height: 100%;
    }
  `,
})
export class Icon {
  readonly name = input.required<IconName>();
  protected readonly strokes = computed((): Strokes => ICONS[this.name()]);
}
