import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, linkedSignal, output } from '@angular/core';
import { cylinderDrawing, CYLINDER, levelAt } from './cylinder-geometry';

let made = 0;

/** A juice in a tall glass cylinder as high as there is juice, part of it poured. The peg may be dragged or moved by keys. */
@Component({
  selector: 'trug-cylinder',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + box.width + ' ' + box.height"
      [attr.width]="box.width"
      [attr.height]="box.height"
      [attr.role]="movable() ? null : 'img'"
      [attr.aria-label]="movable() ? null : label()"
      (pointermove)="dragged($event)"
      (pointerup)="dragging = false"
      (pointercancel)="dragging = false"
    >
      <defs>
        <pattern [id]="hatchId" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" class="hatch" [style.stroke]="colour()" />
        </pattern>
      </defs>
      <path class="glass" [attr.d]="d().glass" />
      <rect
        class="liquid"
        [attr.x]="box.left"
        [attr.width]="box.inner"
        [attr.y]="d().levelY"
        [attr.height]="d().bottomY - d().levelY"
        [style.fill]="colour()"
      />
      @if (d().pouredTopY < d().levelY) {
        <rect
          [attr.x]="box.left"
          [attr.width]="box.inner"
          [attr.y]="d().pouredTopY"
          [attr.height]="d().levelY - d().pouredTopY"
          [attr.fill]="'url(#' + hatchId + ')'"
        />
        <line class="top" [attr.x1]="box.left" [attr.x2]="box.left + box.inner" [attr.y1]="d().pouredTopY" [attr.y2]="d().pouredTopY" />
        <path class="bracket" [attr.d]="d().bracket" />
        <text class="poured" [attr.x]="box.left + box.inner + 13" [attr.y]="(d().pouredTopY + d().levelY) / 2 + 5">{{ pouredText() }}</text>
      }
      @for (y of d().marks; track $index) {
        <line class="mark" [attr.x1]="box.left + box.inner - 16" [attr.x2]="box.left + box.inner - 2" [attr.y1]="y" [attr.y2]="y" />
      }
      <line class="level" [attr.x1]="box.left" [attr.x2]="box.left + box.inner" [attr.y1]="d().levelY" [attr.y2]="d().levelY" />
      <path class="wall" [attr.d]="d().glass" />
      <line class="foot" [attr.x1]="box.left - 12" [attr.x2]="box.left + box.inner + 12" [attr.y1]="d().bottomY" [attr.y2]="d().bottomY" />
      @if (movable()) {
        <g
          class="peg"
          tabindex="0"
          role="slider"
          aria-orientation="vertical"
          [attr.aria-label]="label() + ', how much is poured'"
          aria-valuemin="0"
          [attr.aria-valuemax]="leftL()"
          [attr.aria-valuenow]="pouredL()"
          [attr.aria-valuetext]="pouredText()"
          (pointerdown)="began($event)"
          (keydown)="stepped($event)"
        >
          <rect class="grip" x="0" [attr.y]="d().levelY - 16" width="36" height="32" />
          <path [attr.d]="d().peg" />
        </g>
      }
    </svg>
  `,
  styleUrl: './cylinder.scss',
})
export class Cylinder {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly label = input.required<string>();
  readonly leftL = input.required<number>();
  /** The height of the tallest cylinder beside it, L. */
  readonly tallestL = input.required<number>();
  readonly pouredL = input(0);
  readonly pouredText = input('');
  /** A CSS colour. */
  readonly colour = input.required<string>();
  readonly movable = input(false);
  readonly stepL = input(0.1);
  /** The volume the maker wants poured, L. */
  readonly moved = output<number>();
  protected readonly box = CYLINDER;
  protected readonly hatchId = `hatch-${(made += 1)}`;
  protected dragging = false;
  protected readonly d = computed(() => cylinderDrawing({ leftL: this.leftL(), tallestL: this.tallestL(), pouredL: this.pouredL() }));

  protected began(event: PointerEvent): void {
    this.dragging = true;
    if (event.currentTarget instanceof Element) event.currentTarget.setPointerCapture(event.pointerId);
    event.preventDefault();
  }

  protected dragged(event: PointerEvent): void {
    if (!this.dragging) return;
    const frame = this.host.nativeElement.querySelector('svg')?.getBoundingClientRect();
    if (frame) this.move(levelAt({ y: ((event.clientY - frame.top) * CYLINDER.height) / frame.height, leftL: this.leftL(), tallestL: this.tallestL() }));
  }

  /** Where the peg was last put: quick keys come faster than the blend is solved again, and none may be lost. */
  private readonly latestL = linkedSignal(() => this.pouredL());

  protected stepped(event: KeyboardEvent): void {
    const by = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1, PageDown: 10, PageUp: -10 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    this.move(this.latestL() + by * this.stepL());
  }

  private move(pouredL: number): void {
    const inSteps = Math.round(pouredL / this.stepL()) * this.stepL();
    this.latestL.set(Math.min(this.leftL(), Math.max(0, inSteps)));
    this.moved.emit(this.latestL());
  }
}
