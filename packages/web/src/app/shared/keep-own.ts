import { inject } from '@angular/core';
import type { SupplyDto } from '@trug/contract/plain';
import { newId } from '../browser/new-id';
import { ResourceWriter } from '../writing/resource-writer';

/** What a maker puts in the cupboard as their own: the id that holds what it is, and how much of it there is. */
export type OwnThing = Pick<SupplyDto, 'kind' | 'name' | 'amount' | 'unit'> & { readonly refId: string; readonly packetG?: number | null };

/** How a thing of the maker's own is kept; call within an injection context. It answers why it is not, or null. */
export function injectKeepOwn(): (own: OwnThing) => Promise<string | null> {
  const writer = inject(ResourceWriter);
  return async (own) => {
    const resource = { id: newId(), version: 0, packetG: null, bestBefore: null, ...own };
    const { refused } = await writer.save({ of: 'supplies', resource }, `${resource.name} is in the cupboard.`);
    return refused;
  };
}
