/** What a note tells how to do. */
export type HowToId =
  | 'read-stem'
  | 'take-sample'
  | 'rack'
  | 'clean'
  | 'wake-yeast'
  | 'stir-in'
  | 'fill-bottles'
  | 'heat-bottles'
  | 'keep-gas-out'
  | 'look-and-smell';

/** How something is done by hand, in a few lines. */
export interface HowTo {
  readonly title: string;
  readonly lines: readonly string[];
  /** Strokes of its drawing in a box of 120 × 100: `ink` is drawn, `drink` filled with juice. */
  readonly ink: string;
  readonly drink: string;
}

/** Notes on the handwork beside Trug's sums. @source usual practice of home makers */
export const HOW_TO: Readonly<Record<HowToId, HowTo>> = {
  'read-stem': {
    title: 'How do I read a stem?',
    lines: [
      'Fill the jar so that the stem floats free, and spin it once: bubbles that cling to it lift it.',
      'Bring your eye down to the level of the liquid. Read where the flat surface would cut the scale, below the little rim that climbs the glass.',
      'Cool a hot sample first. Down to about 30 °C the scale can be corrected; above that the figure is only rough.',
      'Drink the sample or throw it away. It does not go back.',
    ],
    ink: 'M40 8v80q0 6 6 6h28q6 0 6-6V8M57 4v44M63 4v44M57 4h6M57 14h6M57 24h6M57 34h6M57 48c-6 6-6 30 3 34c9-4 9-28 3-34M96 40h16M96 40l6-5M96 40l6 5',
    drink: 'M41 40q8 0 15-5h8q7 5 15 5V88q0 5-5 5H46q-5 0-5-5Z',
  },
  'take-sample': {
    title: 'How do I take a sample?',
    lines: [
      'Dip a rinsed thief, baster or jug; rinse it in sulfite or boiled water first, and let it drip off.',
      'Take it from the middle, not from the foam or the lees.',
      'Working drink is full of gas. Pour the sample to and fro between two glasses, or it reads too high.',
    ],
    ink: 'M22 40v44q0 8 8 8h40q8 0 8-8V40M22 40c-4-6 8-10 10-20h36c2 10 14 14 10 20M50 4v66M54 4v66M50 70l2 6l2-6M50 4h4M90 60h22l-3 30h-16Z',
    drink: 'M23 52h54v32q0 7-7 7H30q-7 0-7-7ZM91 72h20l-2 17h-16Z',
  },
  rack: {
    title: 'How do I rack without splashing?',
    lines: [
      'Stand the full vessel high the day before, so that what was stirred up settles again.',
      'Fill the tube with water or drink, one end two fingers above the lees. The other end lies on the bottom of the clean vessel, so that nothing falls through air.',
      'Stop when the lees begin to move. What is left can settle in a glass in the fridge.',
      'Fill to the neck, or choose a smaller vessel: air above a finished drink turns it.',
    ],
    ink: 'M8 20h36v32q0 4-4 4H12q-4 0-4-4ZM4 58h46v36M30 46V10q0-6 8-6h18q8 0 8 8v74M62 60h44v30q0 4-4 4H66q-4 0-4-4Z',
    drink: 'M9 26h34v20H9ZM63 74h42v16q0 3-3 3H66q-3 0-3-3Z',
  },
  clean: {
    title: 'How do I clean it?',
    lines: [
      'Rinse at once: lees that dried set like glue.',
      'Hot washing soda (a tablespoon to 5 L), gloves on, and a brush where you reach. Never mix cleaners, and none with bleach.',
      'Rinse until nothing feels slippery.',
      'Before it is filled again: sulfite solution, a no-rinse cleaner by its packet, or for glass the oven or boiling water, warmed slowly. Let it drain upside down.',
    ],
    ink: 'M40 92V40c0-8 8-8 8-18V8h24v14c0 10 8 10 8 18v52q0 4-4 4H44q-4 0-4-4M60 2v52M50 54h20M50 54v24M55 54v26M60 54v26M65 54v26M70 54v24M20 30q4-4 8 0M92 26q4-4 8 0M98 50q4-4 8 0',
    drink: '',
  },
  'wake-yeast': {
    title: 'How do I wake dry yeast?',
    lines: [
      'Boil a little water and let it cool to 35–40 °C: ten times the weight of the yeast.',
      'Sprinkle it on, leave it a quarter of an hour, then stir.',
      'Bring it to the heat of the juice in steps: a spoon of juice every five minutes. No step of more than 8 °C.',
      'Pour it in within half an hour, and stir.',
    ],
    ink: 'M30 40h50v40q0 12-12 12H42q-12 0-12-12ZM80 50h8q10 0 10 12t-10 12h-8M40 30q-6-6 0-12t0-12M56 30q-6-6 0-12t0-12M70 30q-6-6 0-12t0-12M42 62h2M52 58h2M60 64h2M68 58h2',
    drink: 'M31 54h48v26q0 11-11 11H42q-11 0-11-11Z',
  },
  'stir-in': {
    title: 'How do I stir it in?',
    lines: [
      'Draw off a jug of the drink, warm it if it is sugar, and dissolve it in that. What falls in dry lies on the bottom.',
      'Into a working drink go slowly, a little at a time: it foams up at once.',
      'Stir from the bottom with something clean, without beating air into a finished drink. Read again after it has stood an hour.',
    ],
    ink: 'M28 24l4 64q0 6 8 6h36q8 0 8-6l4-64ZM24 24h68M74 4L56 78M50 78q6-6 12 0q-6 8-12 0M96 50h14l-2 20h-10Z',
    drink: 'M30 44h56l-3 44q0 5-7 5H40q-7 0-7-5Z',
  },
  'heat-bottles': {
    title: 'How do I heat them?',
    lines: [
      'Stand the bottles on a cloth or rack in lukewarm water up to their necks, and one more among them, filled with water, open, a thermometer in its middle.',
      'Lid on. Warm the bath slowly, about a degree a minute: glass breaks by a jump of heat. Count from the control bottle, never from the bath.',
      'Hold it for the minutes told. Then turn it off and let all of it cool under the lid until it is hand-warm; never cold water, never a draught.',
      'Face covered, sleeves down, nobody else in the room. A bottle that cracks is left where it is until the bath is cold.',
    ],
    ink: 'M10 46V90q0 6 6 6h88q6 0 6-6V46M34 88V54c0-8 6-8 6-18V26h10v10c0 10 6 10 6 18v34ZM68 88V54c0-8 6-8 6-18V26h10v10c0 10 6 10 6 18v34ZM98 14v56M6 36h108',
    drink: 'M35 60h20v27H35ZM69 60h20v27H69Z',
  },
  'fill-bottles': {
    title: 'How do I fill them?',
    lines: [
      'Only bottles made for gas hold fizz. Hold each to the light: a chip or a scratch is where it breaks.',
      'Fill from the bottom up, by tube or with a stick that stops by itself. Leave two fingers of air.',
      'One plastic bottle in every lot: it tells by its squeeze what the glass does not.',
      'Cap, wipe, write the lot on them. Stand them in a crate with a lid, a week or two at room warmth, out of the way of people.',
    ],
    ink: 'M24 94V44c0-10 8-10 8-22V10h12v12c0 12 8 12 8 22v50ZM68 94V44c0-10 8-10 8-22V10h12v12c0 12 8 12 8 22v50ZM80 2v80M84 2v80M30 4h16v6H30Z',
    drink: 'M25 48c0-6 5-8 7-14h12c2 6 7 8 7 14v45H25ZM69 66h26v27H69Z',
  },
  'keep-gas-out': {
    title: 'How does the gas get out?',
    lines: [
      'An airlock lets it out and no air in. Keep water in it; in winter it can be sucked back.',
      'A cap that is only loosened works too, for a jug that is seen to several times a day.',
      'Never screw down what is still working. In a closed room gas gathers at the floor: open a door before you bend down.',
    ],
    ink: 'M30 94V60c0-10 14-10 14-22V30h24v8c0 12 14 12 14 22v34q0 4-4 4H34q-4 0-4-4M56 30V12q0-8 8-8t8 8v8q0 6 6 6t6-6V6M70 18h16',
    drink: 'M31 58q4-6 9-9h32q5 3 9 9v36q0 3-3 3H34q-3 0-3-3Z',
  },
  'look-and-smell': {
    title: 'How do I look for what is wrong?',
    lines: [
      'A glass against the light, then against white paper: haze, threads, a film on top.',
      'Smell first with the glass still, then after a turn. Rotten eggs, nail varnish, vinegar and wet cardboard are told apart this way.',
      'Taste only what smells like drink. Mould on top, or fruit that was rotten: do not taste.',
    ],
    ink: 'M44 8h32c4 22 2 40-16 44C42 48 40 30 44 8ZM60 52v32M44 90q16-10 32 0ZM92 22a6 6 0 1 0 12 0a6 6 0 1 0-12 0M92 36l-8 8M14 16v60M20 16v60',
    drink: 'M45 26h30c0 14-4 22-15 25c-11-3-15-11-15-25Z',
  },
};
