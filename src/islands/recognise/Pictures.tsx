import type { ComponentProps } from 'react';
import { HowPlayed } from '../game/HowPlayed';
import { startAnswers } from './startAnswers';

/** The picture questions, begun where the likeliest family stands; a file of its own, since it brings every family along. */
export function Pictures({ guess, ...rest }: Omit<ComponentProps<typeof HowPlayed>, 'start'> & { guess: string | undefined }) {
  return <HowPlayed {...rest} start={startAnswers(guess)} />;
}
