import { inject, Pipe, type PipeTransform } from '@angular/core';
import { Units } from './units';

/** A sentence of the core in the maker's units: `{{ job.detail | said }}`. Not pure, since the units can change under a text that does not. */
@Pipe({ name: 'said', pure: false })
export class SaidPipe implements PipeTransform {
  private readonly units = inject(Units);
  private last: { readonly text: string; readonly units: ReturnType<Units['preferences']>; readonly said: string } | null = null;

  transform(text: string | null | undefined): string {
    if (text === null || text === undefined) return '';
    // It is asked at every change of the page, and answers anew only when the text or the units are others.
    const units = this.units.preferences();
    if (this.last?.text !== text || this.last.units !== units) this.last = { text, units, said: this.units.say(text) };
    return this.last.said;
  }
}
