/** The header in which a run says which it is, to whoever started it. */
export const RUN_HEADER = 'X-Trug-Run';
