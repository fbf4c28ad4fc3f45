import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, line, rect, text } from '../../box';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  players: whole('Players', 1, 6, 3),
  turns: whole('Turns', 4, 30, 12),
  writes: oneOf('Each turn is written as', ['what-was-done-and-total', 'total-only', 'points-only'], 'what-was-done-and-total'),
});
type P = typeof DEFAULTS;

export default sheetKind<P, { readonly columns: readonly string[] }>({
  id: 'score-sheet',
  title: 'Score sheet',
  about: 'From written partials with a running total down to results only: less is written as more is done in the head.',
  group: 'to write on',
  forFamilies: ['press-your-luck', 'running-total', 'edge-tiles', 'digit-placement', 'split-and-spill'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => ({
    columns: p.writes === 'what-was-done-and-total' ? ['this turn', 'total'] : [p.writes === 'total-only' ? 'total' : 'points'],
  }),
  verify: (made, p) => (made.columns.length === (p.writes === 'what-was-done-and-total' ? 2 : 1) ? [] : ['A column is missing.']),
  checked: (made, p) => `${p.players} players, ${p.turns} turns, ${made.columns.join(' and ')}.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made.columns, p, at) } }),
});

function page(columns: readonly string[], p: P, { w, h }: Drawing): Box[] {
  const left = 12;
  const pw = (w - left) / p.players;
  const head = 30;
  const step = Math.min(16, (h - head - 2) / p.turns);
  const cw = pw / columns.length;
  return [
    ...Array.from({ length: p.players }, (_, k) => k).flatMap((k): Box[] => [
      line(left + k * pw + 3, 14, left + (k + 1) * pw - 3, 14, { line: 'soft', width: 0.4, frame: true }),
      ...columns.map((words, c) => text(left + k * pw + c * cw, head - 10, cw, 7, words, 10, { fill: 'soft', frame: true })),
      rect(left + k * pw, head, pw, step * p.turns, { line: 'ink', width: 0.8, frame: true }),
    ]),
    ...Array.from({ length: p.turns }, (_, r) => r).flatMap((r): Box[] => [
      text(0, head + r * step, left - 2, step, String(r + 1), 10, { fill: 'soft', frame: true }),
      ...Array.from({ length: p.players * columns.length }, (_, c) =>
        rect(left + c * cw, head + r * step, cw, step, { line: 'soft', width: 0.25, frame: true }),
      ),
    ]),
  ];
}
