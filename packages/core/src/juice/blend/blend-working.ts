import { taOf } from '../../matter/liquid/acid-chemistry.js';
import { gravityOf, solidsOf } from '../../matter/liquid/views.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import type { Step } from '../../base/worked/worked.js';
import type { Blend, BlendInput } from './blend-types.js';

/**
 * How a blend's figures come about, with the volumes poured.
 *
 * @param input - what was asked
 * @param blend - what was found
 * @returns the working
 */
export function blendSteps({ juices, totalL }: BlendInput, blend: Blend): readonly Step[] {
  const poured = blend.volumesL.flatMap(({ volumeL }, i) => {
    const juice = juices[i];
    return juice && volumeL > 1e-9 ? [{ volumeL, juice }] : [];
  });
  const sum = (of: (j: (typeof poured)[number]) => string): string => `(${poured.map(of).join(' + ')}) ÷ ${figure(totalL, 2)}`;
  const { views } = blend;
  return [
    {
      label: 'Dissolved solids',
      expression: sum(({ volumeL, juice }) => `${figure(volumeL, 2)} × ${figure(solidsOf(juice.liquid), 1)}`),
      result: `${figure(solidsOf(blend.liquid), 1)} g/L, ${gravityText(views.sg, 4)}`,
      source: poured.some(({ juice }) => juice.liquid.ethanolGPerL > 0)
        ? 'solids and alcohol mix by volume; gravity from both'
        : `solids mix by volume; gravities ${poured.map(({ juice }) => gravityText(gravityOf(juice.liquid))).join(', ')}`,
    },
    {
      label: 'Acidity',
      expression: sum(({ volumeL, juice }) => `${figure(volumeL, 2)} × ${figure(taOf(juice.liquid), 2)}`),
      result: `${figure(views.taGPerL, 2)} g/L as malic`,
      source: 'titratable acidity mixes by volume',
    },
    {
      label: 'pH',
      expression: `where ${figure(blend.liquid.malicGPerL, 2)} g/L malic acid and ${figure(blend.liquid.strongCationsMmolPerL, 1)} mmol/L of potassium and kin balance`,
      result: figure(views.ph, 2),
      source: 'charge balance, never an average of pH',
    },
    {
      label: 'Tannin',
      expression: sum(({ volumeL, juice }) => `${figure(volumeL, 2)} × ${figure(juice.liquid.tanninGPerL, 2)}`),
      result: `${figure(views.tanninGPerL, 2)} g/L`,
      source: 'tannin mixes by volume',
    },
    {
      label: 'Strength if dry',
      expression: `${figure(views.sugarGPerL, 1)} g/L sugar ÷ 16.83 g/L per %${views.abv > 0 ? `, on top of ${figure(views.abv, 1)} %` : ''}`,
      result: `${figure(views.dryAbv, 1)} %`,
      source: 'OIV',
    },
  ];
}
