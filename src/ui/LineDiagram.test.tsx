import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { ObservedGrid } from './charts/ObservedGrid';
import { mostStops } from '../core/group/foldLine';
import { type DiagramLine, LineDiagram, type LineSkill } from './LineDiagram';

const skill = (n: number, more: Partial<LineSkill> = {}): LineSkill => ({
  id: `s${n}`,
  short: `step ${n}`,
  title: `Step ${n}`,
  mastery: n < 8 ? 0.95 : 0.2,
  seen: true,
  interval: [0.1, 0.4],
  frontier: false,
  wantedNow: n < 10,
  words: `Step ${n}: words`,
  ...more,
});
const line = (count: number, more: (n: number) => Partial<LineSkill> = () => ({})): DiagramLine => ({
  id: 'l',
  title: 'Add',
  hue: 'vermilion',
  line: 'solid',
  skills: Array.from({ length: count }, (_, n) => skill(n, more(n))),
});
const draw = (lines: readonly DiagramLine[], focus: string | null = null): string =>
  renderToStaticMarkup(
    <LineDiagram lines={lines} junctions={[{ from: 's7', to: 's8', sort: 'heart' }]} focus={focus} onFocus={() => undefined} />,
  );
const labels = (html: string): string[] => [...html.matchAll(/aria-label="([^"]*)"/g)].map((m) => m[1]!);

describe('the line diagram', () => {
  it('names every stop it draws, and tells what is folded', () => {
    const html = draw([line(30)]);
    const stops = labels(html).filter((l) => l.endsWith(': words'));
    expect(stops).toHaveLength(mostStops);
    const folded = labels(html).filter((l) => /steps$/.test(l));
    expect(folded).toHaveLength(2);
    const [behind, ahead] = folded.map((l) => Number(/(\d+)/.exec(l)![1]));
    expect(behind! + ahead! + mostStops).toBe(30);
  });
  it('draws a short line whole, with nothing folded', () => {
    expect(labels(draw([line(6)])).filter((l) => /steps$/.test(l))).toEqual([]);
  });
  it('has one stop that the tab key reaches, the focused one if it is drawn', () => {
    const reached = (focus: string | null): string[] =>
      [
        ...draw([line(12), { ...line(4), id: 'm', skills: [skill(40), skill(41)] }], focus).matchAll(
          /data-skill="(s\d+)"[^>]*tabindex="0"/g,
        ),
      ].map((m) => m[1]!);
    expect(reached(null)).toHaveLength(1);
    expect(reached('s41')).toEqual(['s41']);
  });
  it('says at a folded end that something good next lies there', () => {
    const folded = (n: number): string[] => labels(draw([line(30, (k) => ({ frontier: k === n }))])).filter((l) => l.includes('steps'));
    expect(folded(29).filter((l) => l.includes('good next'))).toEqual([expect.stringContaining('later') as unknown]);
    expect(folded(0).filter((l) => l.includes('good next'))).toEqual([expect.stringContaining('earlier') as unknown]);
    expect(folded(8).filter((l) => l.includes('good next'))).toEqual([]);
  });
  it('shows the curve to a prerequisite only for the stop in focus', () => {
    const curves = (focus: string | null): number => [...draw([line(12)], focus).matchAll(/<path d="M[\d. ]+C/g)].length;
    expect([curves(null), curves('s8') > 0, curves('s2')]).toEqual([0, true, 0]);
  });
  it('stands with no line at all', () => expect(draw([])).toContain('role="group"'));
});

describe('the grid of observed facts', () => {
  const html = renderToStaticMarkup(
    <ObservedGrid
      label="Facts noted, adding"
      hue="red"
      most={5}
      axes={['one number', 'the other']}
      cells={[
        { x: 1, y: 2, state: 'missed', text: '1 + 2: right 0 of 1' },
        { x: 3, y: 4, state: 'secure', text: '3 + 4: right 3 of 3' },
        { x: 5, y: 5, state: 'seen', text: '5 + 5: right 1 of 1' },
      ]}
    />,
  );
  it('says every fact and how it stands in words', () => {
    expect(labels(html)[0]).toBe(
      'Facts noted, adding: 1 + 2: right 0 of 1, missed; 3 + 4: right 3 of 3, secure; 5 + 5: right 1 of 1, seen',
    );
    expect([...html.matchAll(/<title>([^<]*)<\/title>/g)].map((m) => m[1])).toEqual([
      '1 + 2: right 0 of 1',
      '3 + 4: right 3 of 3',
      '5 + 5: right 1 of 1',
    ]);
  });
  it('differs by shape, not by colour alone', () => {
    const circles = [...html.matchAll(/<circle[^>]*fill="([^"]*)"/g)].map((m) => m[1]);
    expect(circles).toEqual(['red', 'none']);
    expect(html).toMatch(/l10 10/);
  });
  it('keeps every mark inside the frame', () => {
    const size = Number(/viewBox="0 0 (\d+)/.exec(html)![1]);
    for (const [, x, y] of html.matchAll(/<circle cx="([\d.]+)" cy="([\d.]+)"/g))
      for (const at of [Number(x), Number(y)]) expect([at > 0, at < size]).toEqual([true, true]);
  });
});
