import { afterRenderEffect, ChangeDetectionStrategy, Component, ElementRef, inject, input } from '@angular/core';
import { SaidPipe } from '../../units/said.pipe';

/** Why a form was not filed, told to everyone, with the focus led to the first field that is wrong. Nothing while nothing was refused. */
@Component({
  selector: 'trug-refusal',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SaidPipe],
  template: `
    @if (why(); as text) {
      <p class="field-error" role="alert">{{ text | said }}</p>
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    p {
      margin: 0;
    }
  `,
})
export class Refusal {
  readonly why = input.required<string | null>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  constructor() {
    afterRenderEffect(() => {
      if (this.why() === null) return;
      const around: Element | null = this.host.closest('form') ?? this.host.closest('section');
      const wrong = around?.querySelector<HTMLElement>('input[aria-invalid="true"], textarea[aria-invalid="true"]');
      if (wrong) wrong.focus();
      // What was pressed stays in sight at the foot: why it was not done has to come into it.
      else this.host.firstElementChild?.scrollIntoView({ block: 'nearest' });
    });
  }
}
