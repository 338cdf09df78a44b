import type { TestTrug } from '../support/trug';

/** Where things of the demo season are. */
export interface DemoPlaces {
  readonly batch: (name: string) => string;
  /** An entry of Gate Blend. */
  readonly anEntry: string;
  /** A crate of Kitchen Fizz. */
  readonly aCrate: string;
  /** A recipe of the maker's own. */
  readonly recipe: string;
}

/** Looks them up in a Trug with the demo season. */
export async function demoPlaces(trug: TestTrug): Promise<DemoPlaces> {
  const batches = await trug.ask<{ id: string; name: string; entries: { id: string; kind: string }[] }[]>('/api/batches?with=logs');
  const batch = (name: string): string => {
    const id = batches.find((b) => b.name === name)?.id;
    if (id === undefined) throw new Error(`the demo has no batch ${name}`);
    return id;
  };
  const entriesOf = (name: string): readonly { id: string; kind: string }[] => batches.find((b) => b.name === name)?.entries ?? [];
  const [recipe] = await trug.ask<{ id: string }[]>('/api/recipes');
  return {
    recipe: recipe?.id ?? '',
    batch,
    anEntry: entriesOf('Gate Blend')[0]?.id ?? '',
    aCrate: entriesOf('Kitchen Fizz').find((e) => e.kind === 'bottled')?.id ?? '',
  };
}

/** Every view of the app, by a name and its address. */
export const VIEWS: readonly (readonly [name: string, path: (demo: DemoPlaces) => string])[] = [
  ['shelf', () => '/shelf'],
  ['all batches', () => '/batches'],
  ['new batch', () => '/new'],
  ['several at once', () => '/new/several'],
  ['read several', () => '/readings'],
  ['batch, stuck', ({ batch }) => `/batch/${batch('Hollow Wild')}`],
  ['batch, bottled', ({ batch }) => `/batch/${batch('Kitchen Fizz')}`],
  ['reading', ({ batch }) => `/batch/${batch('Gate B')}/read`],
  ['pitch', ({ batch }) => `/batch/${batch('Terrace Must')}/pitch`],
  ['rack', ({ batch }) => `/batch/${batch('Lane Perry')}/rack`],
  ['batch, on its pulp', ({ batch }) => `/batch/${batch('Crab and Tea')}`],
  ['strain', ({ batch }) => `/batch/${batch('Crab and Tea')}/strain`],
  ['keg', ({ batch }) => `/batch/${batch('Gate Blend')}/keg`],
  ['bottle bench', ({ batch }) => `/batch/${batch('Gate Blend')}/bottle`],
  ['note', ({ batch }) => `/batch/${batch('Kitchen Fizz')}/note`],
  ['its name and tape', ({ batch }) => `/batch/${batch('Kitchen Fizz')}/name`],
  ['move', ({ batch }) => `/batch/${batch('Hollow Wild')}/move`],
  ['taste', ({ batch }) => `/batch/${batch('Old Terrace')}/taste`],
  ['steep something in it', ({ batch }) => `/batch/${batch('Gate Blend')}/infuse`],
  ['bench trial', ({ batch }) => `/batch/${batch('Gate Blend')}/trial`],
  ['cellar', () => '/cellar'],
  ['what was liked', () => '/cellar/liked'],
  ['side by side', () => '/cellar/beside'],
  ['cupboard', () => '/cupboard'],
  ['settings', () => '/settings'],
  ['where it is kept', () => '/settings/book'],
  ['when was it', ({ batch, anEntry }) => `/batch/${batch('Gate Blend')}/when/${anEntry}`],
  ['juice', () => '/juice'],
  ['recipes', () => '/recipes'],
  ['a recipe', ({ recipe }) => `/recipe/${recipe}`],
  ['blend bench', () => '/juice/blend'],
  ['press day', () => '/juice/press'],
  ['steep', () => '/juice/steep'],
  ['a juice', () => '/juice/new'],
  ['adjust', ({ batch }) => `/batch/${batch('Terrace Must')}/adjust`],
  ['split', ({ batch }) => `/batch/${batch('Terrace Must')}/split`],
  ['restart', ({ batch }) => `/batch/${batch('Hollow Wild')}/restart`],
  ['batch, with a device', ({ batch }) => `/batch/${batch('Carton No. 4')}`],
  ['fault finder', ({ batch }) => `/batch/${batch('Lane Perry')}/fault`],
  ['keeve it', ({ batch }) => `/batch/${batch('Terrace Must')}/keeve`],
  ['clear it', ({ batch }) => `/batch/${batch('Lane Perry')}/clear`],
  ['what sugar is left', ({ batch }) => `/batch/${batch('Gate Blend')}/test`],
  ['stabilise', ({ batch }) => `/batch/${batch('Gate Blend')}/stabilise`],
  ['sweeten', ({ batch }) => `/batch/${batch('Gate Blend')}/sweeten`],
  ['ways to keep it sweet', ({ batch }) => `/batch/${batch('Gate Blend')}/ways`],
  ['take some out', ({ batch }) => `/batch/${batch('Gate Blend')}/take-out`],
  ['make it again', ({ batch }) => `/batch/${batch('Crab and Tea')}/again`],
  ['labels', ({ batch, aCrate }) => `/batch/${batch('Kitchen Fizz')}/label/${aCrate}`],
  ['it gushes', ({ batch, aCrate }) => `/batch/${batch('Kitchen Fizz')}/burst/${aCrate}`],
  ['pour bottles back', ({ batch, aCrate }) => `/batch/${batch('Kitchen Fizz')}/pour-back/${aCrate}`],
  ['open the keg', ({ batch }) => `/batch/${batch('Keg of the Row')}/open-keg`],
  ['heat the bottles', ({ batch }) => `/batch/${batch('Gate Blend')}/heat`],
  ['squeeze', ({ batch }) => `/batch/${batch('Kitchen Fizz')}/squeeze`],
  ['let the keg off', ({ batch }) => `/batch/${batch('Keg of the Row')}/let-off`],
  ['malolactic change', ({ batch }) => `/batch/${batch('Gate Blend')}/malolactic`],
  ['readings from a table', ({ batch }) => `/batch/${batch('Gate B')}/import`],
  ['words and handwork', () => '/words'],
  ['year', () => '/year'],
  ['practice', () => '/practice'],
];
