import { fractionText } from '../../items/fraction';
import { alone, type HowTo } from '../../play/howTo';
import { many } from '../../play/say';
import type { FillParameters } from './parameters';
import { asFraction, dieOf } from './rules';

export function howTo(p: FillParameters): HowTo {
  const { of, faces } = dieOf(p);
  const names = [...new Set(faces)].map((f) => fractionText(asFraction(f, of)));
  const fill = p.way === 'filled';
  const [large, small] = [Math.max(...faces), Math.min(...faces)];
  const after = fill ? large + small : of - large;
  return {
    setUp: [
      `Everyone lays out ${many(p.wholes, 'whole')}, ${fill ? 'empty' : 'full of pieces'}.`,
      `Pieces: ${names.join(', ')}; each card or face of the die names one.`,
    ],
    turn: [
      p.choose === 1 ? 'Draw one piece.' : `Draw ${p.choose} pieces and choose one of them.`,
      fill
        ? 'Lay it in your whole and say how much is filled now.'
        : 'Take it out of your whole and say how much is left; change pieces if you must.',
      p.finish === 'must-fit' ? 'A piece that does not fit cannot be used.' : 'A last piece may be larger than what is needed.',
    ],
    scoring: [],
    end: `The first with ${p.wholes === 1 ? 'the whole' : `all ${p.wholes} wholes`} ${fill ? 'filled' : 'empty'} has done it; the round is played out, and several may have.`,
    ask: fill ? 'How much is still empty?' : 'How much is left?',
    tool: 'Lay the pieces on a strip and read along it.',
    smaller: p.pieces === 'halves-quarters' ? 'Fill one whole only.' : 'Use halves and quarters only.',
    presence: alone,
    pictures: [
      {
        picture: { draw: 'cards', values: names.slice(0, Math.max(1, p.choose)) },
        say: p.choose === 1 ? 'Draw a piece.' : 'Draw, and choose one.',
      },
      {
        picture: {
          draw: 'bars',
          bars: [
            [fill ? large : of, of, fractionText(asFraction(fill ? large : of, of))],
            [after, of, fractionText(asFraction(after, of))],
          ],
        },
        say: fill ? 'Lay it in your whole.' : 'Take it out.',
      },
      { picture: { draw: 'bars', bars: [[fill ? of : 0, of, fill ? '1' : '0']] }, say: fill ? 'Full!' : 'Empty!' },
    ],
  };
}
