import type { BlendAim, BlendJuice, BlendLimit } from './blend-types.js';

const AS: Readonly<Record<BlendAim, readonly [above: string, below: string]>> = {
  sg: ['heavy', 'light'],
  taGPerL: ['sharp', 'soft in acid'],
  tanninGPerL: ['tannic', 'low in tannin'],
  ph: ['high in pH', 'low in pH'],
  abv: ['strong', 'weak'],
};

const NAMES: Readonly<Record<BlendAim, string>> = { sg: 'gravity', taGPerL: 'acidity', tanninGPerL: 'tannin', ph: 'pH', abv: 'strength' };

/**
 * A limit as a sentence on the bench.
 *
 * @param limit - what keeps the blend from its target
 * @param juices - for their names
 * @returns such as "Windfall sharps is all in, and more of it would help."
 */
export function limitWords(limit: BlendLimit, juices: readonly BlendJuice[]): string {
  const name = (id: string): string => juices.find((j) => j.id === id)?.name ?? 'One juice';
  switch (limit.kind) {
    case 'used-up':
      return `${name(limit.juiceId)} is all in, and more of it would help.`;
    case 'least':
      return `${name(limit.juiceId)} has a least volume, and less of it would help.`;
    case 'held':
      return `${name(limit.juiceId)} is held where it is. Let it go and the blend can move.`;
    case 'conflict':
      return `No mixture here has that ${limit.aims.map((aim) => NAMES[aim]).join(' and that ')} at once: what brings one nearer takes another away.`;
    case 'none-beyond':
      return `No juice here is as ${AS[limit.aim][limit.side === 'above' ? 0 : 1]} as the target: ${name(limit.bestJuiceId)} comes nearest.`;
  }
}
