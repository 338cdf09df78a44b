/** What the server keeps as whole lists, or as one thing, besides batches: each is fetched by itself when it changed elsewhere. */
export const LISTS = ['juices', 'supplies', 'places', 'instruments', 'recipes', 'vessels', 'settings'] as const;
export type ListName = (typeof LISTS)[number];

/** Whether the server's word for what changed is a list of these. */
export const isListName = (name: string): name is ListName => LISTS.some((list) => list === name);
