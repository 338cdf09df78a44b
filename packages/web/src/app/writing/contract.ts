/** The contract with class-validator's rules. */
export type Contract = typeof import('@trug/contract');

/** A class of it. */
export type DtoClass = Parameters<Contract['checkPart']>[0];

/** The contract's rules come with class-validator, which is loaded when something is first typed or written; null without an answer. */
export const loadContract = (): Promise<Contract | null> => import('@trug/contract').catch(() => null);
