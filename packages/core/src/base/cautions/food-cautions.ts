import type { Caution } from './caution.js';

/** Cautions about what goes into a drink beside its juice. */
export const FOOD_CAUTIONS = {
  allergen: {
    id: 'allergen',
    severity: 'note',
    text: 'Sulfite, lactose, nuts, finings from egg, fish, milk or crustacean shells (chitosan), and yeast grown on gluten can make people ill.',
    whatToDo: 'Put what you used on the label.',
  },
  xylitol: {
    id: 'xylitol',
    severity: 'danger',
    text: 'Xylitol is deadly to dogs in small amounts.',
    whatToDo: 'Label every bottle, and keep the powder and the dregs away from them. Sugar alcohols loosen the bowels of people.',
  },
  'hops-dogs': {
    id: 'hops-dogs',
    severity: 'danger',
    text: 'Hops can kill a dog, fresh, dried or spent.',
    whatToDo: 'Keep them and what is left in the bag out of its reach, and in a closed bin.',
  },
  keeving: {
    id: 'keeving',
    severity: 'caution',
    text: 'Keeving is difficult and fails often. What stays sweet by it can wake in the bottle and burst it.',
    whatToDo:
      'Bottle it only on the gap that a sample fermented out in the warm shows, in bottles made for pressure, one of plastic beside them; keep it cool.',
  },
  stones: {
    id: 'stones',
    severity: 'note',
    text: 'Whole stones do no harm for some weeks; cracked ones give off prussic acid.',
    whatToDo: 'Take the stones out, or leave them whole and the fruit in for no longer than it is told.',
  },
  'steeped-mould': {
    id: 'steeped-mould',
    severity: 'caution',
    text: 'What floats on top of a quiet drink grows mould and vinegar.',
    whatToDo: 'Weigh the bag down so that it stays under, keep the vessel full, and look at it every few days.',
  },
} as const satisfies Record<string, Caution>;
