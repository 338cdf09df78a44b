/** What a maker can look, smell and taste for, with the share of sound drinks that show each answer. */
export interface FaultQuestion {
  readonly id: FaultQuestionId;
  readonly ask: string;
  /** How to do it, where that is not plain. */
  readonly how?: string;
  readonly answers: readonly { readonly id: string; readonly text: string; readonly inSound: number }[];
}

/** The questions by id. */
export type FaultQuestionId = 'smell' | 'surface' | 'look' | 'pour' | 'fizz' | 'gravity' | 'hazeTest';

/** Answers given; a question nobody answered is not there. */
export type FaultAnswers = Partial<Record<FaultQuestionId, string>>;

/** The questions in the order they are asked. @source makers' own words for what they met; shares are our estimates */
export const FAULT_QUESTIONS: readonly FaultQuestion[] = [
  {
    id: 'smell',
    ask: 'What does it smell or taste of?',
    how: 'Warm a little in the glass with your hand, swirl it, and smell. Then a sip, and wait for what comes after.',
    answers: [
      { id: 'clean', text: 'apples, yeast, nothing odd', inSound: 0.8 },
      { id: 'egg', text: 'bad eggs, struck matches', inSound: 0.06 },
      { id: 'onion', text: 'onion, cabbage, drains', inSound: 0.005 },
      { id: 'vinegar', text: 'vinegar', inSound: 0.01 },
      { id: 'solvent', text: 'glue, nail varnish', inSound: 0.01 },
      { id: 'mouse', text: 'mouse cage, stale biscuit, only after the sip', inSound: 0.003 },
      { id: 'banana', text: 'banana skins, bruised and sickly', inSound: 0.01 },
      { id: 'stable', text: 'stable, sticking plaster, clove', inSound: 0.03 },
      { id: 'geranium', text: 'crushed geranium leaves', inSound: 0.002 },
      { id: 'stale', text: 'sherry, cardboard, bruised apple', inSound: 0.03 },
      { id: 'musty', text: 'mould, damp cellar', inSound: 0.01 },
      { id: 'bread', text: 'bread, bouillon', inSound: 0.03 },
    ],
  },
  {
    id: 'surface',
    ask: 'What lies on top?',
    answers: [
      { id: 'nothing', text: 'nothing', inSound: 0.7038 },
      { id: 'foam', text: 'foam, bubbles', inSound: 0.27 },
      { id: 'film', text: 'a thin white skin, dusty or in islands', inSound: 0.02 },
      { id: 'fur', text: 'furry spots, white, green or black', inSound: 0.0002 },
      { id: 'jelly', text: 'a smooth leathery or jelly skin', inSound: 0.004 },
    ],
  },
  {
    id: 'look',
    ask: 'How clear is it?',
    how: 'Hold the glass before a lamp in a dark room.',
    answers: [
      { id: 'clear', text: 'clear', inSound: 0.5 },
      { id: 'haze', text: 'evenly hazy', inSound: 0.35 },
      { id: 'cold-haze', text: 'clear when warm, hazy when cold', inSound: 0.04 },
      { id: 'milky', text: 'milky, all at once', inSound: 0.02 },
      { id: 'silky', text: 'silky swirls when it is turned', inSound: 0.02 },
      { id: 'brown', text: 'gone brown', inSound: 0.04 },
      { id: 'bits', text: 'flakes or grains', inSound: 0.03 },
    ],
  },
  {
    id: 'pour',
    ask: 'How does it pour?',
    answers: [
      { id: 'water', text: 'like water', inSound: 0.9975 },
      { id: 'oil', text: 'like oil or egg white', inSound: 0.002 },
      { id: 'strings', text: 'in strings', inSound: 0.0005 },
    ],
  },
  {
    id: 'fizz',
    ask: 'Is it in bottles? How is the fizz?',
    answers: [
      { id: 'vessel', text: 'not in bottles', inSound: 0.627 },
      { id: 'right', text: 'about what was wished', inSound: 0.36 },
      { id: 'gush', text: 'it gushes', inSound: 0.003 },
      { id: 'flat', text: 'flat, though it was primed', inSound: 0.005 },
      { id: 'prickle', text: 'a prickle, though it was still', inSound: 0.005 },
    ],
  },
  {
    id: 'gravity',
    ask: 'What does the gravity do?',
    answers: [
      { id: 'falls', text: 'it falls', inSound: 0.5 },
      { id: 'end', text: 'steady where it should end', inSound: 0.45 },
      { id: 'high', text: 'steady, well above where it should end', inSound: 0.05 },
    ],
  },
  {
    id: 'hazeTest',
    ask: 'Haze tests, if it is hazy',
    how: 'Take three small samples. One with four parts of strong spirit: strings or jelly mean pectin. One with a drop of iodine: blue or black means starch. One stood in warm water, one in the fridge for three days. Pour every sample away, none is for drinking.',
    answers: [
      { id: 'pectin', text: 'strings or jelly in spirit', inSound: 0.03 },
      { id: 'starch', text: 'blue with iodine', inSound: 0.01 },
      { id: 'warms-clear', text: 'clear once warm', inSound: 0.05 },
      { id: 'settles', text: 'settles in the fridge', inSound: 0.2 },
      { id: 'none', text: 'none of them', inSound: 0.71 },
    ],
  },
];
