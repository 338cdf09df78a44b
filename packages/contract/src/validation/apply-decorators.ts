/**
 * Several property decorators as one.
 *
 * @param decorators - applied in order
 * @returns a decorator that applies them all
 */
export function applyDecorators(...decorators: readonly PropertyDecorator[]): PropertyDecorator {
  return (target, key) => {
    for (const decorate of decorators) decorate(target, key);
  };
}
