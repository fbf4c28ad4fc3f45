import { firstOf, impossible, inOrder, ownOnly } from '../../play/refuse';
import type { Problem } from '../../shared/codes';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, SCHEMA, type TrackRaceParameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { trappedSpaces } from './rules';

function check(p: TrackRaceParameters): Problem | null {
  const early = firstOf(
    inOrder(p.lowestFace, p.highestFace, 'highestFace', 'number on a die'),
    p.end <= p.start && impossible('end', `The end (${p.end}) must lie after the start (${p.start}).`),
    p.jumps.some(([from, to]) => from <= p.start || from >= p.end || to >= p.end || to < p.start) &&
      impossible('jumps', `Jumps lead from and to spaces between ${p.start} and ${p.end}.`),
    p.jumps.some(([, to]) => p.jumps.some(([from]) => from === to)) && impossible('jumps', 'A jump must not end where another begins.'),
  );
  if (early) return early;
  const trapped = trappedSpaces(p);
  return trapped.length > 0
    ? impossible('landing', `From space ${trapped[0]} the end can never be reached. Let the end be passed, or use smaller dice.`)
    : null;
}

export const trackRace: Mechanism<TrackRaceParameters> = {
  id: 'track-race',
  title: 'Track race',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Everyone puts a peg on the start of the track.',
    'In turn, throw, say where you will land, and move there.',
    'A jump takes you along at once, forward or back.',
    'On a special space do what it says; on a token space take or give a token.',
    'The first at the end finishes the race, at once or when the round is played out; with tokens, count who holds most.',
  ],
  played: { with: ['dice', 'board'], does: ['adds', 'takes-away'], moves: ['races'], who: ['in-turn'], ends: ['first-home'] },
  earlyEnding: 'Whoever is on the highest space rings the bell; say together how far each still had to go.',
  told: [
    'throws {x} and moves to {y}',
    'goes back {x}, to {y}',
    'throws {x}: {y} would be too far, and stays',
    'jumps from {x} to {y}',
    'takes a token and holds {x}',
    'gives a token and holds {x}',
  ],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['jumpsBack', 'specialSpaces'],
  headStart: 'spaces',
  check,
  checkTable: (seats) => ownOnly(seats, ['move', 'dice', 'lowestFace', 'highestFace', 'minusFaces', 'start']),
  channels: (_p, seats) => {
    const end = Math.max(...seats.map((s) => s.parameters.end));
    const step = Math.max(...seats.map((s) => s.parameters.highestFace * s.parameters.dice));
    const face = Math.max(...seats.map((s) => s.parameters.highestFace));
    return [
      { op: 'add', unknown: 'result', rep: 'numerals', a: [0, end], b: [0, step] },
      { op: 'subtract', unknown: 'result', rep: 'numerals', a: [0, end + step], b: [0, step] },
      { op: 'add', unknown: 'result', rep: 'pips', a: [0, step], b: [0, face] },
      { op: 'subtract', unknown: 'result', rep: 'pips', a: [0, face], b: [0, face] },
      { op: 'odd-even', unknown: 'result', rep: 'pips', a: [0, face], b: [0, 0] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { kind: p.end === 100 && p.start === 0 ? 'hundred-chart' : 'track-board', quantity: 1 },
    { kind: 'pegs', quantity: seats },
    { chances: [p.lowestFace, p.highestFace], count: p.move === 'sum' || p.move === 'signed' ? p.dice : p.move === 'difference' ? 2 : 1 },
    ...(p.move === 'signed' ? [{ kind: 'operation-die', quantity: 1 }] : []),
    ...(p.tokens === 'none' ? [] : [{ kind: 'two-colour-counters', quantity: 5 * seats }]),
  ],
  sheets: (p) => [
    {
      sheet: 'track-board',
      copies: 1,
      data: {
        start: p.start,
        end: p.end,
        jumps: p.jumps,
        specialEvery: p.special === 'none' ? 0 : p.specialEvery,
        tokenEvery: p.tokens === 'none' ? 0 : p.tokenEvery,
      },
    },
  ],
};
