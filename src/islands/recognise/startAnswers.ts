import type { PlayedAnswers } from '../../core/content/howPlayed';
import { mechanismById } from '../../core/mechanisms/registry';
import { playedAnswers, type PlayedQuestion } from '../../core/mechanisms/mechanism';

/** Answers of the picture questions that the likeliest family would give; nothing where none is likely. */
export function startAnswers(mechanism: string | undefined): PlayedAnswers {
  const played = mechanism === undefined ? undefined : mechanismById(mechanism)?.played;
  if (!played) return {};
  return Object.fromEntries((Object.keys(playedAnswers) as PlayedQuestion[]).map((q) => [q, played[q][0]]));
}
