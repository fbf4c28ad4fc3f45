import { v5 } from 'uuid';

/** UUID version 5 (RFC 9562) in the URL namespace: the same name always gives the same identifier. */
export const uuidOf = (name: string): string => v5(name, v5.URL);
