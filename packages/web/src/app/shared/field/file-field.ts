import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A button that takes a file of the maker's. */
@Component({
  selector: 'trug-file',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button class="btn" type="button" [disabled]="isDisabled()" (click)="box.click()"><ng-content /></button>
    <input #box class="visually-hidden" type="file" tabindex="-1" aria-hidden="true" [attr.name]="name()" [accept]="accept()" (change)="take(box)" />
  `,
})
export class FileField {
  readonly name = input.required<string>();
  readonly accept = input.required<string>();
  readonly isDisabled = input(false);
  readonly taken = output<File>();

  protected take(box: HTMLInputElement): void {
    const file = box.files?.[0];
    if (file) this.taken.emit(file);
    // The same file may be chosen again after it was mended.
    box.value = '';
  }
}
