import { countText } from '@trug/core/matter/quantity/count-text';
import type { SupplyDto } from '@trug/contract/plain';
import type { Units } from '../../units/units';

/** An amount of a supply in words, such as "2 packets of 5 g". */
export function supplyAmount({ amount, unit, packetG }: Pick<SupplyDto, 'amount' | 'unit' | 'packetG'>, units: Units): string {
  switch (unit) {
    case 'packet':
      return `${amount === 0.5 ? 'half a packet' : amount === 1 ? '1 packet' : `${amount} packets`}${packetG === null ? '' : ` of ${packetG} g`}`;
    case 'g':
      return units.mass(amount);
    case 'tablet':
      return amount === 1 ? '1 tablet' : `${amount} tablets`;
    case 'mL':
      return `${amount} mL`;
    case 'bottle':
      return countText(amount, 'bottle');
  }
}
