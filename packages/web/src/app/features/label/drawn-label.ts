import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { LabelKindId } from '@trug/core/finish/label/label-sheet';
import type { LabelPicture } from './label-pictures';
import type { QrPath } from '../../shared/qr/qr-path';

/** What stands on one label, in the maker's words and units. */
export interface LabelWords {
  readonly name: string;
  readonly tape: string;
  /** Strength and what the bottle holds, each kept on one line. */
  readonly figures: readonly string[];
  readonly taste: string;
  readonly dates: string;
  readonly lot: string;
  readonly contents: string;
  readonly cautions: string;
  /** The maker's own line. */
  readonly own: string;
}

/** A picture's side, mm, with the room about it. */
const PICTURE_MM = 18;

/** A label as it is printed, in millimetres. Long names and long lists make its letters smaller, so that nothing is cut off. */
@Component({
  selector: 'trug-label',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    '[class]': 'kind()',
    '[style.width.mm]': 'widthMm()',
    '[style.height.mm]': 'heightMm()',
    '[style.--name]': 'nameMm()',
    '[style.--small]': 'smallMm()',
    '[style.--colour]': "'var(--tape-' + words().tape + ')'",
  },
  template: `
    <div class="band">
      <b class="hand">{{ words().name }}</b>
      @if (picture(); as p) {
        @if ('own' in p) {
          <img class="picture" [src]="p.own" alt="" />
        } @else {
          <svg class="picture" viewBox="0 0 40 40" aria-hidden="true">
            <path class="fill" [attr.d]="p.fill" />
            <path class="ink" [attr.d]="p.ink" />
          </svg>
        }
      }
    </div>
    <div class="text">
      <p class="figures">
        @for (figure of words().figures; track figure) {
          <span>{{ figure }}</span>
        }
      </p>
      <p>{{ words().taste }}</p>
      @if (words().own && kind() !== 'back') {
        <p class="own hand">{{ words().own }}</p>
      }
      <p class="dates">{{ words().dates }}</p>
      @if (kind() !== 'tape') {
        <p class="small">{{ words().contents }}</p>
        <p class="small cautions">{{ words().cautions }}</p>
      }
      <p class="small">{{ words().lot }}</p>
    </div>
    @if (qr(); as code) {
      <svg class="qr" [attr.viewBox]="'0 0 ' + code.size + ' ' + code.size" role="img" aria-label="Its address as a square code">
        <path [attr.d]="code.path" />
      </svg>
    }
  `,
  styleUrl: './drawn-label.scss',
})
export class DrawnLabel {
  readonly words = input.required<LabelWords>();
  readonly kind = input.required<LabelKindId>();
  readonly widthMm = input.required<number>();
  readonly heightMm = input.required<number>();
  readonly qr = input<QrPath | null>(null);
  /** On what has room for one. */
  readonly picture = input<LabelPicture | null>(null);

  /** Height of the name's letters, mm: smaller the longer it is. */
  protected readonly nameMm = computed(() => {
    const mostMm = { band: 9, front: 8.5, back: 4.5, tag: 6, tape: 6 }[this.kind()];
    const beside = this.picture() ? PICTURE_MM : 0;
    const roomMm = { band: 56 - beside, front: 84 - beside, back: 64, tag: 39, tape: 32 }[this.kind()];
    // A hand-lettered sign is about half as wide as it is high; long names break into lines, and words leave some of them short.
    const lines = this.words().name.length < 14 ? 1 : 2;
    return `${Math.max(2.6, Math.min(mostMm, (roomMm * lines * 1.6) / Math.max(1, this.words().name.length)))}mm`;
  });

  /** Height of the small print, mm: by how much there is of it and how much room. */
  protected readonly smallMm = computed(() => {
    const { contents, cautions, own, lot } = this.words();
    const signs = contents.length + cautions.length + own.length + lot.length;
    const roomMm2 = {
      band: 100 * 30,
      front: 84 * (this.picture() ? 16 : 24),
      back: (this.qr() ? 46 : 64) * 19,
      tag: 39 * (40 - (this.qr() ? 14 : 0) - (this.picture() ? 14 : 0)),
      tape: 40 * 8,
    }[this.kind()];
    // A sign takes about half its height in width, and lines stand 1.2 times it apart.
    return `${Math.max(1.5, Math.min(2.8, Math.sqrt(roomMm2 / (0.62 * Math.max(1, signs)))))}mm`;
  });
}
