/** Letters of a session on paper, in points. */
export const small = 9.5;
export const body = 11;
export const head = 14;
