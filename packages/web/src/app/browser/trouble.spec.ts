import { ErrorHandler } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Trouble, TROUBLE_WORDS, TroubleHandler } from './trouble';

it('what nobody caught is told to the maker, and whole to the console', () => {
  TestBed.configureTestingModule({ providers: [{ provide: ErrorHandler, useClass: TroubleHandler }] });
  const told = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const fault = new TypeError('a sum fell over');
  expect(TestBed.inject(Trouble).said()).toBeNull();
  TestBed.inject(ErrorHandler).handleError(fault);
  expect(TestBed.inject(Trouble).said()).toBe(TROUBLE_WORDS);
  expect(told.mock.calls.flat()).toContain(fault);
  told.mockRestore();
});
