import type { Tone } from './box';

/** Colours on paper, the same on screen: a deep ink, and hues that stay apart in grey too. */
export const tones: Readonly<Record<Tone, string>> = {
  ink: '#10302b',
  soft: '#4d6a63',
  pale: '#b9cbc4',
  wash: '#e6edea',
  white: '#ffffff',
  teal: '#0a7a70',
  vermilion: '#cf3f24',
  indigo: '#3b4d9e',
  ochre: '#c98a12',
  plum: '#7a3468',
  moss: '#4a7a2a',
};
