import { alone, type HowTo } from '../../play/howTo';
import { many } from '../../play/say';
import type { HopParameters } from './parameters';

export function howTo(p: HopParameters): HowTo {
  const place = p.places === 'tens' ? 'tens' : 'ones';
  const unit = place === 'tens' ? 10 : 1;
  const at = p.start + 12;
  let to = at + 1;
  while (Math.floor(to / unit) % 10 !== 4) to++;
  const named =
    p.places === 'ones'
      ? 'the ones'
      : p.places === 'tens'
        ? 'the tens'
        : p.places === 'either'
          ? 'the ones or the tens'
          : 'the ones, the tens or the hundreds';
  return {
    setUp: [`Everyone puts a peg on ${p.start} of a number board to ${p.end}.`],
    turn: [
      `Draw a place card (${named}) and a digit: 4 in the ${place}, say.`,
      p.nearest === 'ahead'
        ? 'Hop to the nearest space ahead that has this digit in this place, and read it aloud.'
        : 'Hop to the nearest other space, ahead or behind, that has this digit in this place, and read it aloud.',
      ...(p.sayDistance ? ['Say how far you hopped.'] : []),
      'No such space? Stay.',
    ],
    scoring: [],
    end:
      p.finish === 'first-home'
        ? `The first on ${p.end} closes the race; so do ${many(p.hops, 'hop')} each.`
        : `After ${many(p.hops, 'hop')} each, who stands highest?`,
    ask: 'Which digit would take you furthest now?',
    tool: 'Read the number slowly and point at the place.',
    smaller: `Use a board to ${Math.max(p.start + 30, Math.floor(p.end / 2))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: [4, place] }, say: 'Draw a digit and a place.' },
      { picture: { draw: 'track', from: at - 2, to: to + 2, pegs: [at], jump: [at, to] }, say: 'Hop to the next number that has it.' },
      { picture: { draw: 'say', words: String(to) }, say: 'Read the number.' },
    ],
  };
}
