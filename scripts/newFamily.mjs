import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled, stop } from './ensureInstalled.mjs';

/** A rule family to begin with: a folder that plays, and its line in the registry. `npm run new-family -- my-family` */
ensureInstalled();
const id = process.argv[2];
if (!id || !/^[a-z]+(-[a-z]+)*$/.test(id))
  stop('Say how the family is called, in small letters with hyphens: npm run new-family -- turn-and-tell');
const folder = join('src/core/mechanisms', id);
if (existsSync(folder)) stop(`${folder} is there already.`);
const camel = id.replace(/-(\w)/g, (_, c) => c.toUpperCase());
const Pascal = camel[0].toUpperCase() + camel.slice(1);
const title = Pascal.replace(/([a-z])([A-Z])/g, '$1 $2');
mkdirSync(folder);
write(
  'parameters.ts',
  `import { parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  highest: whole('Highest number', 2, 20, 6),
  rounds: whole('Rounds', 1, 30, 8),
});
export type ${Pascal}Parameters = typeof DEFAULTS;
`,
);
write(
  'cues.ts',
  `import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['${title.toLowerCase()}'],
  signs: [],
};
`,
);
write(
  'playOut.ts',
  `import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { settle } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { ${Pascal}Parameters } from './parameters';

/** Number of the channel in \`index.ts\`. */
const ADD = 0;

export function createTable(seats: readonly Seat<${Pascal}Parameters>[]): PlayGame {
  const count = seats.length;
  const sums = new Int32Array(count);
  return (rng: Rng, log: GameLog): void => {
    for (let round = 0; round < seats[0]!.parameters.rounds; round++) {
      for (let s = 0; s < count; s++) {
        const { highest } = seats[s]!.parameters;
        const [a, b] = [between(rng, 1, highest), between(rng, 1, highest)];
        log.turn(s, 1);
        log.item(s, ADD, a, b);
        sums[s] = a + b;
        log.note(s, 0, a, b);
      }
      // A tie belongs to nobody.
      const best = bestOf(sums, count);
      if (best >= 0) log.scores[best]!++;
    }
    settle(log, seats);
  };
}
`,
);
write(
  'howTo.ts',
  `import { alone, type HowTo } from '../../play/howTo';
import { diceOf, many, smallerThan } from '../../play/say';
import type { ${Pascal}Parameters } from './parameters';

/** Every rule with its number comes from the parameters; howTo.test.ts asks that each parameter is told. */
export function howTo(p: ${Pascal}Parameters): HowTo {
  return {
    setUp: ['Everyone sits where all can reach the dice.'],
    turn: [\`Throw \${diceOf(2, 1, p.highest)} and add them.\`, 'Say the sum aloud.'],
    scoring: ['The highest sum takes the round: one point. A tie is nobody’s.'],
    end: \`Play \${many(p.rounds, 'round')}.\`,
    ask: 'How did you work it out?',
    tool: 'Count on from the larger number.',
    smaller: \`Use dice to \${smallerThan(p.highest)}.\`,
    presence: alone,
    pictures: [
      { picture: { draw: 'dice', faces: [2, 3] }, say: 'Throw.' },
      { picture: { draw: 'dice', faces: [2, 3], joined: '+', makes: '5' }, say: 'Add.' },
      { picture: { draw: 'say', words: '5' }, say: 'Who has more?' },
    ],
  };
}
`,
);
write(
  'index.ts',
  `import type { Mechanism, Seat } from '../mechanism';
import { DEFAULTS, SCHEMA, type ${Pascal}Parameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const ${camel}: Mechanism<${Pascal}Parameters> = {
  id: '${id}',
  title: '${title}',
  cues: async () => (await import('./cues')).CUES,
  words: ['What you need and how it is set up.', 'What a turn is.', 'How it is won, and when it ends.'],
  played: { with: ['dice'], does: ['adds'], moves: ['compares-round'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Finish the round that is under way and count who has most.',
  told: ['throws {x} and {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 2, max: 6 },
  extraMeasures: [],
  headStart: 'points',
  check: () => null,
  // Spans as tight as the common items: every place costs memory and start-up; what lies outside is counted by name.
  channels: (_, seats) => [{ op: 'add', unknown: 'result', rep: 'pips', a: [1, most(seats)], b: [1, most(seats)] }],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p) => [{ chances: [1, p.highest], count: 2 }],
  sheets: () => [],
};

const most = (seats: readonly Seat<${Pascal}Parameters>[]): number => Math.max(...seats.map((s) => s.parameters.highest));
`,
);
write(
  'rules.test.ts',
  `import { describe, expect, it } from 'vitest';
import { careful, near, run } from '../playing.testing';

describe('${id}', () => {
  it('asks each player one sum a round', () => {
    const result = run('${id}', { rounds: 5 }, careful(2), 200);
    expect(result.items.reduce((n, i) => n + i.count, 0)).toBe(200 * 2 * 5);
  });
  it('has the mean of two even throws', () => {
    const result = run('${id}', { highest: 6, rounds: 1 }, careful(2), 4000);
    // Twice the mean of 1 … 6.
    near({ mean: result.measures['meanResult']!, standardError: result.measureErrors['meanResult']! }, 7);
  });
});
`,
);
const registry = 'src/core/mechanisms/registry.ts';
let text = readFileSync(registry, 'utf8');
const lines = text.split('\n');
const last = lines.reduce((at, line, i) => (/^import \{ .* \} from '\.\//.test(line) ? i : at), 0);
lines.splice(last + 1, 0, `import { ${camel} } from './${id}';`);
text = lines.join('\n').replace(/\n\] as unknown as readonly Mechanism\[\];/, `\n  ${camel},\n] as unknown as readonly Mechanism[];`);
writeFileSync(registry, text);
console.log(`${folder} plays already. Now read docs/adding-a-family.md, and run: npm run test:unit -- -t ${id}`);

function write(name, content) {
  writeFileSync(join(folder, name), content);
}
