import { describe, expect, it } from 'vitest';
import { asWritten } from '../../contract/countries';
import { createRng } from '../shared/rng';
import { sheetKinds } from './registry';
import type { SheetKind } from './sheetKind';

/* eslint-disable @typescript-eslint/no-explicit-any -- each kind's content has a shape of its own, and here it is spoilt on purpose */
type Spoil = (made: any, p: any) => any;
const copy = (made: any): any => structuredClone(made);
/** Puts something wrong into a copy of the content. */
const with_ =
  (change: (made: any) => void): Spoil =>
  (made) => {
    const spoilt = copy(made);
    change(spoilt);
    return spoilt;
  };
const dropLast: Spoil = (made) => (made as unknown[]).slice(0, -1);
const twice: Spoil = (made) => [...(made as unknown[]).slice(0, -1), (made as unknown[])[0]];

/** One fault a sheet of this kind could have; a check that lets it through is no check. */
const faults: Readonly<Record<string, readonly Spoil[]>> = {
  'amount-cards': [with_((m) => (m[3].n = 9)), dropLast],
  'balance-mat': [with_((m) => (m.pans = 3))],
  'beam-tasks': [with_((m) => (m[0].missing += 1)), with_((m) => (m[1].left[0] = 40)), dropLast],
  'calendar-page': [with_((m) => (m.days = 30)), with_((m) => (m.first = (m.first + 1) % 7))],
  'call-cards': [with_((m) => (m[2].result += 1)), with_((m) => (m[1] = m[0]))],
  'chain-cards': [
    with_((m) => (m.loop.a[0] += 1)),
    with_((m) => (m.order[1] = m.order[0])),
    with_((m) => (m.loop.answer[2] = m.loop.answer[5])),
  ],
  'clock-faces': [with_((m) => (m.faces = 0))],
  'coin-cards': [with_((m) => (m[0].amount += 1)), with_((m) => m[0].coins.push(2)), dropLast],
  'colour-grid': [dropLast, twice],
  'column-sheet': [dropLast, twice],
  'coordinate-grid': [dropLast, with_((m) => m.splice(3, 1))],
  'digit-columns': [with_((m) => (m[0].result -= 10)), dropLast],
  dominoes: [dropLast, twice],
  'edge-tiles': [with_((m) => (m.number[0] = 99)), with_((m) => m.colour.fill(9)), with_((m) => m.number.fill(3))],
  'fact-wheel': [with_((m) => (m[0][1].answer += 1)), with_((m) => (m[0][1] = m[0][0]))],
  'figure-cards': [with_((m) => (m[0].area += 1)), with_((m) => m[0].cells.push([40, 40])), dropLast],
  'fold-up-die': [with_((m) => ([m[0], m[1]] = [m[1], m[0]])), with_((m) => (m[0] = '9'))],
  'fraction-cards': [dropLast, with_((m) => (m[0].code = 999))],
  'fraction-pieces': [dropLast, with_((m) => (m[0] = 7))],
  'graph-sheet': [with_((m) => (m.labels[2] += 1)), with_((m) => m.labels.pop())],
  'grid-cards': [
    with_((m) => (m.cards[1] = [...m.cards[0]].reverse())),
    with_((m) => (m.cards[0][1] = m.cards[0][0])),
    with_((m) => (m.cards[0][0] = 99)),
    with_((m) => (m.calls[1].worth = m.calls[0].worth)),
    with_((m) => m.cards.pop()),
  ],
  'hex-board': [() => null, with_((m) => (m.number[4] += 40)), with_((m) => m.ahead.fill(-1))],
  'match-halves': [
    with_((m) => (m.sets[0].halves[1].worth = 'something else')),
    with_((m) => (m.sets[1].halves = m.sets[0].halves)),
    with_((m) => (m.sets[0].halves[1].shown = { as: 'number', n: 999 })),
    with_((m) => (m.sets[1].cut = m.sets[0].cut)),
    with_((m) => m.sets.pop()),
  ],
  'measure-sheet': [with_((m) => (m.rows = 1))],
  'mirror-cards': [
    with_((m) => (m[0].given[1] = m[0].given[0])),
    with_((m) => m[0].given.splice(0, 1, [m[0].columns - 1 - m[0].given[1][0], m[0].given[1][1]])),
    with_((m) => (m[0].given[0] = [-1, 0])),
  ],
  'net-sheet': [() => [999]],
  'number-board': [with_((m) => (m.numbers[3] = 5))],
  'number-cards': [dropLast, with_((m) => (m[0].number = 12))],
  'number-line': [with_((m) => m.pop()), with_((m) => (m[3].words = '7')), with_((m) => (m[2].at = m[1].at))],
  'numeral-stands': [dropLast],
  'operation-cards': [dropLast],
  'pair-cards': [with_((m) => (m[0].n += 1)), with_((m) => ([m[1], m[2]] = [m[2], m[1]])), (m) => m.slice(0, -2)],
  'part-whole-mat': [with_((m) => (m[0] = m[1])), with_((m) => (m[0] += 0.1)), dropLast],
  'pattern-strips': [
    with_((m) => (m[0].members[m[0].core + 1] = (m[0].members[m[0].core + 1] + 1) % 6)),
    with_((m) => (m[0].next = 9)),
    with_((m) => (m[0].members.length = m[0].core + 1)),
    dropLast,
  ],
  'place-cards': [dropLast],
  'place-columns': [with_((m) => m.reverse()), dropLast],
  'place-value-mat': [with_((m) => m.reverse()), dropLast],
  'play-money': [with_((m) => m.coins.pop())],
  'price-cards': [with_((m) => (m[0].hundredths = 3)), with_((m) => (m[0].hundredths = 100_000))],
  'product-board': [with_((m) => (m.number[0] = 97)), with_((m) => m.number.pop()), with_((m) => (m.lines = []))],
  'question-sheet': [
    with_((m) => (m.items[0].answer = '12')),
    with_((m) => (m.items[1].question = m.items[0].question)),
    with_((m) => m.items.pop()),
  ],
  'recording-sheet': [dropLast, twice],
  'score-sheet': [with_((m) => (m.columns = []))],
  'sequence-grid': [
    with_((m) => (m[4].n += 1)),
    with_((m) => m.forEach((c: any) => (c.blank = false))),
    with_((m) => m.forEach((c: any) => (c.blank = true))),
    dropLast,
  ],
  'set-cards': [dropLast, with_((m) => (m[0].shown = { as: 'words', words: '40 + 2' })), with_((m) => (m[1].face = 0))],
  'shape-cards': [dropLast],
  'slot-row': [with_((m) => ([m[0], m[1]] = [m[1], m[0]])), dropLast],
  'sorting-mat': [with_((m) => (m.fields = 1))],
  spinner: [dropLast],
  'squared-paper': [with_((m) => (m.square = 11)), with_((m) => m.facts.push(5))],
  'story-cards': [
    with_((m) => (m[0].answer += 1)),
    with_((m) => (m[0].text += ' How many altogether?')),
    with_((m) => (m[1].text = m[0].text)),
    with_((m) => (m[2].text = m[2].text.repeat(9))),
    with_((m) => Object.assign(m[0], { c: 900, a: 500, b: 400, answer: 900 })),
  ],
  'target-cards': [
    with_((m) => (m[0].sides[0].numbers = [1, 1, 1, 1])),
    with_((m) => (m[0].steps[0].result += 1)),
    with_((m) => (m[0].stars = 9)),
    with_((m) => (m[0].steps = [])),
    dropLast,
  ],
  'task-cards': [with_((m) => (m[0].result += 1)), with_((m) => (m[0].label = 'Z')), dropLast],
  'ten-frame-mat': [with_((m) => (m.rows = 3))],
  'tile-strip': [dropLast, twice],
  'time-cards': [with_((m) => (m[0].minutes = 7)), with_((m) => (m[1].minutes = m[0].minutes))],
  timetable: [
    with_((m) => (m.times[0][1] = m.times[0][0] - 5)),
    with_((m) => (m.questions[0].answer = '1 min')),
    with_((m) => m.times[1].forEach((_: number, i: number) => (m.times[1][i] = m.times[0][i]))),
  ],
  'track-board': [dropLast, twice, with_((m) => (m[5].jump = 9))],
};

const madeBy = (kind: SheetKind, parameters: object): unknown => kind.make(parameters, { rng: createRng(41, 17), country: asWritten });

describe('what is printed was judged', () => {
  it.each(sheetKinds.map((k) => [k.id, k] as const))('%s: what is right passes, and every planted fault is found', (id, kind) => {
    const made = madeBy(kind, kind.example);
    expect(kind.verify(made, kind.example)).toEqual([]);
    expect(faults[id]?.length ?? 0, `no fault is planted for ${id}`).toBeGreaterThan(0);
    for (const [i, spoil] of faults[id]!.entries()) {
      const told = kind.verify(spoil(made, kind.example), kind.example);
      expect([id, i, told.length > 0]).toEqual([id, i, true]);
      for (const words of told) expect(words).toMatch(/[.!?]$/);
    }
  });
  const find = (id: string): SheetKind => sheetKinds.find((k) => k.id === id)!;
  const judged = (id: string, more: object, spoil: Spoil): string[] => {
    const kind = find(id);
    const p = { ...kind.example, ...more };
    const made = madeBy(kind, p);
    expect(kind.verify(made, p)).toEqual([]);
    return kind.verify(spoil(made, p), p);
  };
  it('finds what only shows under other settings', () => {
    // A set of certain facts: one is there twice, or cannot be.
    expect(
      judged(
        'call-cards',
        {
          operation: 'add',
          only: [
            [8, 7],
            [5, 5],
            [1, 2],
          ],
        },
        with_((m) => (m[1] = m[0])),
      ),
    ).not.toEqual([]);
    const impossible = find('call-cards');
    const under = { ...impossible.example, operation: 'subtract', only: [[3, 8]] };
    expect(impossible.verify(madeBy(impossible, under), under)).not.toEqual([]);
    // Two on a card of which both work, or none.
    expect(
      judged(
        'target-cards',
        { twoOnACard: true },
        with_((m) => (m[0].sides[1] = { ...m[0].sides[0] })),
      ),
    ).not.toEqual([]);
    // A piece of a chart in two parts.
    expect(
      judged(
        'number-board',
        { pieces: true },
        with_((m) => (m.piece[99] = m.piece[0])),
      ),
    ).not.toEqual([]);
    // Regrouping where none was wanted.
    expect(
      judged(
        'digit-columns',
        { regroup: 'never' },
        with_((m) => (m[0] = { a: 155, b: 168, result: 323 })),
      ),
    ).not.toEqual([]);
    // A jump that ends where another begins.
    expect(
      judged(
        'track-board',
        {
          jumps: [
            [5, 12],
            [20, 8],
          ],
        },
        with_((m) => (m[5].jump = 20)),
      ),
    ).not.toEqual([]);
    expect(
      judged(
        'pattern-strips',
        { kind: 'grows' },
        with_((m) => (m[0].members[3] += 1)),
      ),
    ).not.toEqual([]);
    expect(
      judged(
        'play-money',
        { money: 'both' },
        with_((m) => m.coins.shift()),
      ),
    ).not.toEqual([]);
    expect(
      judged(
        'squared-paper',
        { paper: 'multiplication-rectangles' },
        with_((m) => (m.facts[11] += 1)),
      ),
    ).not.toEqual([]);
    expect(
      judged(
        'place-cards',
        { overlay: 'lay-over-each-other', places: 'ones-tens-hundreds' },
        with_((m) => (m[1].digit = 1)),
      ),
    ).not.toEqual([]);
  });
});
