/**
 * Whether a thing of the cupboard is still used.
 *
 * @param thing - a vessel, an instrument or a place
 * @returns false once it was put away for good
 */
export const isInUse = ({ retiredOn = null }: { readonly retiredOn?: string | null | undefined }): boolean => retiredOn === null;
