import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import {
  Archive,
  Bell,
  Boxes,
  CalendarDays,
  Check,
  CircleHelp,
  ClipboardPen,
  GlassWater,
  GraduationCap,
  Minus,
  Package,
  Plus,
  SlidersHorizontal,
  TriangleAlert,
  X,
} from 'lucide';

/** The icons Trug uses, by what they mean here. */
const ICONS = {
  shelf: Archive,
  juice: GlassWater,
  year: CalendarDays,
  cellar: Package,
  practice: GraduationCap,
  cupboard: Boxes,
  settings: SlidersHorizontal,
  yes: Check,
  no: X,
  note: Minus,
  warn: TriangleAlert,
  job: Bell,
  write: ClipboardPen,
  add: Plus,
  why: CircleHelp,
} as const;

/** The name of an icon. */
export type IconName = keyof typeof ICONS;

/** One line icon, always beside a word, so it is hidden from screen readers. */
@Component({
  selector: 'trug-icon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="1.75" stroke-linecap="round" stroke-linejoin="round" aria-hidden="true">
      @for (shape of shapes(); track $index) {
        @switch (shape.tag) {
          @case ('path') {
            <path [attr.d]="shape.attrs['d']" />
          }
          @case ('circle') {
            <circle [attr.cx]="shape.attrs['cx']" [attr.cy]="shape.attrs['cy']" [attr.r]="shape.attrs['r']" />
          }
          @case ('line') {
            <line [attr.x1]="shape.attrs['x1']" [attr.y1]="shape.attrs['y1']" [attr.x2]="shape.attrs['x2']" [attr.y2]="shape.attrs['y2']" />
          }
          @case ('rect') {
            <rect
              [attr.x]="shape.attrs['x']"
              [attr.y]="shape.attrs['y']"
              [attr.width]="shape.attrs['width']"
              [attr.height]="shape.attrs['height']"
              [attr.rx]="shape.attrs['rx']"
            />
          }
        }
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
  protected readonly shapes = computed(() => ICONS[this.name()].map(([tag, attrs]) => ({ tag, attrs })));
}
