/** What a date field holds while what is typed into it is no day. */
export const NO_DAY = 'unreadable';
