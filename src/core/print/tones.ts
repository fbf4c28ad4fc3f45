import type { Tone } from './box';

/**
 * Colours on paper, the same on screen: a deep ink, and hues whose lightness (L* of CIELAB: indigo 26, plum 35, vermilion 44, teal
 * 53, moss 62, ochre 72) is nine steps apart from one to the next, so that a grey printer keeps them apart too.
 */
export const tones: Readonly<Record<Tone, string>> = {
  ink: '#10302b',
  soft: '#4d6a63',
  pale: '#b9cbc4',
  wash: '#e6edea',
  white: '#ffffff',
  teal: '#2a8d82',
  vermilion: '#c2331a',
  indigo: '#1c3885',
  ochre: '#e7a432',
  plum: '#7f396d',
  moss: '#73a350',
};
