import type { ActPage, Guess } from '@trug/core/book/scribble/scribble-types';

/** What was taken for granted, as a maker would say it. */
export function guessText(guess: Guess): string {
  switch (guess.of) {
    case 'gauge':
      return `read with “${guess.name}”`;
    case 'sample':
      return 'how warm the sample was is not said, so it is less sure';
    case 'kind':
      return `taken as ${guess.name}`;
    case 'spoon':
      return 'by our estimate of what that measure holds; weigh it if you can';
    case 'yeast':
      return 'which kind is not said: it is the one this batch is made with';
    case 'rate':
      return 'how much is not said: it is what this must asks for';
    case 'packet':
      return `a packet taken as ${guess.massG} g`;
    case 'sprinkled':
      return 'how it went in is not said: taken as sprinkled';
    case 'supply':
      return guess.isPast ? 'out of the cupboard, where it is past its date' : 'out of the cupboard';
  }
}

interface PageWords {
  /** The page's part of the address of a batch. */
  readonly path: string;
  /** What must still be said. */
  readonly asks: string;
  readonly go: string;
}

/** Where more can be said than a line holds. */
export const PAGE_WORDS: Readonly<Record<ActPage, PageWords>> = {
  rack: { path: 'rack', asks: 'How much came over, and into which vessels?', go: 'Rack it' },
  bottle: { path: 'bottle', asks: 'Sealing it is worked out first.', go: 'To the bottle bench' },
  keg: { path: 'keg', asks: 'Sealing it is worked out first.', go: 'Into a keg' },
  strain: { path: 'strain', asks: 'How much ran off, and into which vessels?', go: 'Strain it' },
  split: { path: 'split', asks: 'How much into which?', go: 'Split it' },
  clear: { path: 'clear', asks: 'With what, and how much?', go: 'Clear it' },
  stabilise: { path: 'stabilise', asks: 'What it takes hangs on its acid and its end.', go: 'Stabilise it' },
  sweeten: { path: 'sweeten', asks: 'With what, how much, and how is it kept safe?', go: 'Sweeten it' },
  adjust: { path: 'adjust', asks: 'How much of it?', go: 'Adjust it' },
  pitch: { path: 'pitch', asks: 'Which kind, and is the must ready for it?', go: 'Pitch yeast' },
  move: { path: 'move', asks: 'How warm is it there?', go: 'Move it' },
  read: { path: 'read', asks: '', go: 'To the readings' },
};
