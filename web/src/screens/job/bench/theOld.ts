/** What came out, where nothing else names it. */
export const THE_OLD = 'the one that came out';
