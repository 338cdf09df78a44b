import { ChangeDetectionStrategy, Component } from '@angular/core';
@Component({ selector: 'trug-x', changeDetection: ChangeDetectionStrategy.OnPush, template: '' })
export class Cupboard {}
