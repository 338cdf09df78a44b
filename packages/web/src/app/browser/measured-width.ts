import { afterNextRender, DestroyRef, ElementRef, inject, signal, type Signal } from '@angular/core';

/**
 * How wide the component's element is, for drawings that are laid out anew at every width rather than shrunk.
 *
 * @param usual - taken until it is measured, and where it cannot be, px
 * @returns a signal in whole px; call within an injection context
 */
export function injectMeasuredWidth(usual: number): Signal<number> {
  const width = signal(usual);
  const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  const destroyed = inject(DestroyRef);
  afterNextRender(() => {
    if (typeof ResizeObserver !== 'function') return;
    const observer = new ResizeObserver(([entry]) => {
      const px = Math.floor(entry?.contentRect.width ?? 0);
      if (px > 0) width.set(px);
    });
    observer.observe(host);
    destroyed.onDestroy(() => observer.disconnect());
  });
  return width.asReadonly();
}
