import { describe, expect, it } from 'vitest';
import { asWritten, countries } from '../../contract/countries';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { mechanismById, mechanisms } from '../mechanisms/registry';
import type { Box } from './box';
import { layOut, type SheetLayout } from './layOut';
import { type Duplex, type SheetRequest } from './sheetPage';
import { figureHeight, textWidth } from './letters';
import { blankEdge, footEdge, leastText, paperIds, papers } from './paper';
import { sheetKindById, sheetKinds } from './registry';
import { forms, type SheetKind } from './sheetKind';

const usual: SheetRequest = {
  parameters: {},
  paper: 'a4',
  seed: 41,
  ink: 'colour',
  duplex: 'none',
  copies: 1,
  form: 'usual',
  mark: 'kite',
  gutter: 0,
  label: '',
  country: asWritten,
};
function laid(kind: SheetKind, more: Partial<SheetRequest> = {}): SheetLayout {
  const result = layOut(kind, { ...usual, ...more });
  if (!result.ok) throw new Error(`${kind.id}: ${result.problem.message}`);
  return result.value;
}
/** Middle of a box for comparing fronts and backs. */
const middle = (b: Box): [number, number] => [b.x + b.w / 2, b.y + b.h / 2];
const each = sheetKinds.map((k) => [k.id, k] as const);

describe('every kind of sheet', () => {
  it('has a name and a place of its own, and families that there are', () => {
    expect(sheetKinds.length).toBeGreaterThanOrEqual(40);
    expect(new Set(sheetKinds.map((k) => k.id)).size).toBe(sheetKinds.length);
    expect(new Set(sheetKinds.map((k) => k.title)).size).toBe(sheetKinds.length);
    for (const k of sheetKinds) {
      expect(k.forFamilies.length, k.id).toBeGreaterThan(0);
      for (const f of k.forFamilies) expect([k.id, f, mechanismById(f) !== undefined]).toEqual([k.id, f, true]);
      expect(Object.keys(k.parametersSchema.properties).sort(), k.id).toEqual(Object.keys(k.example).sort());
    }
  });

  it.each(each)('%s leaves the outer edge blank on every paper and in every form, and letters stay in their boxes', (_, kind) => {
    for (const paper of paperIds)
      for (const form of forms) {
        const { w, h } = papers[paper];
        for (const page of laid(kind, { paper, form, duplex: 'long' }).pages) {
          expect([page.width, page.height]).toEqual([w, h]);
          for (const b of page.boxes) {
            const inside =
              b.x >= blankEdge - 0.01 && b.y >= blankEdge - 0.01 && b.x + b.w <= w - blankEdge + 0.01 && b.y + b.h <= h - blankEdge + 0.01;
            expect([paper, form, inside ? null : b]).toEqual([paper, form, null]);
            if (b.kind !== 'text') continue;
            expect([paper, form, b.text, b.size! >= leastText - 0.01]).toEqual([paper, form, b.text, true]);
            // A quarter of a millimetre is less than the eye sees.
            expect([
              b.text,
              textWidth(b.text!, b.size!, b.bold) <= (b.turned && b.turned % 180 !== 0 ? Math.max(b.w, b.h) : b.w) + 0.25,
            ]).toEqual([b.text, true]);
          }
        }
      }
  });

  it.each(each)('%s: the same request gives the same sheet, in its example as it was looked at', async (id, kind) => {
    const sheet = laid(kind);
    expect(laid(kind)).toEqual(sheet);
    expect(sheet.checked.length).toBeGreaterThan(10);
    expect(sheet.verified).toBe(true);
    const line = (b: Box): string =>
      [b.kind, b.x, b.y, b.w, b.h, b.text ?? '', b.size ?? '', b.turned ?? '', b.fill ?? '', b.line ?? ''].join(' ').trimEnd();
    await expect(sheet.pages[0]!.boxes.map(line).join('\n') + '\n').toMatchFileSnapshot(`sheets/${id}/golden.txt`);
  });

  it.each(each)('%s is blank when it is asked blank: frames and places to cut, nothing to read but what the sheet is', (_, kind) => {
    const [usualOne, blank] = [laid(kind), laid(kind, { form: 'blank' })];
    expect(blank.pages.length).toBe(usualOne.pages.length);
    const read = (s: SheetLayout): number => s.pages.reduce((n, p) => n + p.boxes.filter((b) => !b.frame).length, 0);
    expect(read(blank)).toBe(0);
  });

  it.each(each.filter(([, k]) => (layOut(k, usual) as { value: SheetLayout }).value.cuts > 0))(
    '%s: fronts meet their backs when the sheet is turned about either edge',
    (_, kind) => {
      for (const duplex of ['long', 'short'] as const satisfies readonly Duplex[]) {
        const { pages } = laid(kind, { duplex });
        for (let i = 0; i + 1 < pages.length; i++) {
          if (pages[i]!.side !== 'front' || pages[i + 1]!.side !== 'back') continue;
          const { width, height } = pages[i]!;
          const cards = (n: number): [number, number][] => pages[n]!.boxes.filter((b) => b.kind === 'card').map(middle);
          const turned = cards(i).map(([x, y]) => (duplex === 'long' ? [width - x, y] : [x, height - y]));
          expect(cards(i + 1).length).toBe(turned.length);
          turned.forEach(([x, y], n) => {
            const [bx, by] = cards(i + 1)[n]!;
            expect(Math.hypot(bx - x!, by - y!)).toBeLessThan(0.01);
          });
        }
      }
    },
  );

  it('counts sheets, pieces and cuts as they come out of the printer', () => {
    const cards = laid(sheetKindById('number-cards')!);
    // Forty cards, nine on a sheet, four of them on the last: four cuts each way, and two each way and three.
    expect([cards.sheets, cards.pieces, cards.cuts]).toEqual([5, 40, 4 * 8 + 7]);
    expect(laid(sheetKindById('number-cards')!, { gutter: 4 }).cuts).toBeGreaterThan(cards.cuts);
    expect(laid(sheetKindById('number-cards')!, { copies: 2 }).pieces).toBe(80);
    expect(laid(sheetKindById('score-sheet')!, { copies: 3 }).sheets).toBe(3);
    expect(laid(sheetKindById('number-cards')!, { form: 'large' }).sheets).toBeGreaterThan(cards.sheets);
  });

  it('draws some of a long range: different ones, in order, each on a card wide enough to be read', () => {
    const asked = { low: 100_000, high: 999_999, copies: 1, some: 60 };
    const { pages, pieces } = laid(sheetKindById('number-cards')!, { parameters: asked });
    const numbers = pages.flatMap((p) => p.boxes.flatMap((b) => (/^\d{3}\u2009\d{3}$/.test(b.text ?? '') ? [b] : [])));
    const values = numbers.map((b) => Number(b.text!.replace('\u2009', '')));
    expect([pieces, new Set(values).size]).toEqual([60, 60]);
    expect(values).toEqual([...values].sort((x, y) => x - y));
    for (const n of values) expect(n >= asked.low && n <= asked.high).toBe(true);
    expect(Math.min(...numbers.map((b) => figureHeight(b.size!)))).toBeGreaterThanOrEqual(12);
  });

  it('says what it is at the foot: seed, number of the sheet, whose it is, and a ruler of fifty millimetres and two inches', () => {
    const [page] = laid(sheetKindById('number-cards')!, { label: 'Lever Frame' }).pages;
    const words = page!.boxes.flatMap((b) => b.text ?? []);
    expect(words).toContain('Number cards · Lever Frame · seed 41 · 1 of 5');
    const foot = page!.boxes.filter((b) => b.kind === 'path' && b.y > 280 && b.y + b.h <= 297 - footEdge);
    // What stands at the foot is within reach of a printer at home.
    expect(page!.boxes.every((b) => b.y + b.h <= 297 - footEdge)).toBe(true);
    const xs = foot.map((b) => b.x);
    expect(xs).toContain(14);
    expect(xs).toContain(64);
    expect(xs).toContain(14 + 50.8);
  });
});

describe('ink', () => {
  it('keeps shapes when it loses colour, and draws outlines when it is saved', () => {
    const kind = sheetKindById('amount-cards')!;
    const hues = /teal|vermilion|indigo|ochre|plum|moss/;
    const tones = (ink: SheetRequest['ink']): string[] =>
      laid(kind, { ink }).pages.flatMap((p) => p.boxes.flatMap((b) => [b.fill ?? '', b.line ?? '']));
    expect(tones('colour').some((t) => hues.test(t))).toBe(true);
    for (const ink of ['black', 'thin'] as const) expect(tones(ink).filter((t) => hues.test(t))).toEqual([]);
    const area = (ink: SheetRequest['ink']): number =>
      laid(kind, { ink }).pages.reduce(
        (sum, p) => sum + p.boxes.reduce((n, b) => n + (b.kind !== 'text' && b.fill && b.fill !== 'white' ? b.w * b.h : 0), 0),
        0,
      );
    expect(area('thin')).toBeLessThan(area('colour') / 4);
  });
});

describe('what cannot be printed', () => {
  const refused = (id: string, more: Partial<SheetRequest>): string => {
    const result = layOut(sheetKindById(id)!, { ...usual, ...more });
    return result.ok ? 'printed' : result.problem.message;
  };
  it('is refused in words: too much at once, a range that runs backwards, letters no face has', () => {
    expect(refused('number-cards', { copies: 100, parameters: { copies: 20 } })).toMatch(/20000 pieces; 1200 are the most/);
    expect(refused('score-sheet', { copies: 200 })).toMatch(/200 pages; 150 are the most/);
    expect(refused('number-cards', { parameters: { low: 9, high: 2 } })).toMatch(/runs backwards: 9 to 2/);
    expect(refused('number-cards', { parameters: { low: 0, high: 1_000_000 } })).toMatch(/400 are the most/);
    expect(refused('number-cards', { label: '山の線' })).toMatch(/No bundled face can print 山/);
    expect(refused('number-cards', { label: 'Żuk, Ёж, ½ ≤ √2' })).toBe('printed');
    expect(refused('spinner', { parameters: { shows: 'words', words: ['山', 'minus'] } })).toMatch(/No bundled face/);
    expect(refused('pair-cards', { parameters: { lowestCard: 1, highestCard: 3, sum: 50 } })).toMatch(/No two cards/);
    expect(refused('grid-cards', { parameters: { size: 3, pool: 10, cards: 12 } })).toMatch(/Only 10 different cards can be made/);
    // With no number to spare cards differ in where each stands.
    expect(refused('grid-cards', { parameters: { size: 3, pool: 9, cards: 12 } })).toBe('printed');
    expect(refused('coin-cards', { parameters: { coins: [1], fewest: 3, most: 4, count: 12 } })).toMatch(/Only 2 different amounts/);
    expect(refused('beam-tasks', { parameters: { pegs: 4, left: 1, right: 3, count: 60 } })).toMatch(/Only \d+ different tasks/);
  });
  it('is tried with the next seed when a seed does not give what was promised', () => {
    const kind = sheetKindById('match-halves')!;
    let spoiled = 3;
    const verify: SheetKind['verify'] = (made, p) => (spoiled-- > 0 ? ['Not this one.'] : kind.verify(made, p));
    const result = layOut({ ...kind, verify }, usual);
    expect(result.ok && result.value.seed).toBe(44);
    expect(layOut({ ...kind, verify: () => ['Never.'] }, usual)).toMatchObject({
      ok: false,
      problem: { message: expect.stringContaining('Never.') },
    });
  });
});

describe('what shipped games need on paper', () => {
  const versions = [
    ...mechanisms.map((m) => [`${m.id} as it comes`, m, {}, Math.max(2, m.seats.min)] as const),
    ...shippedLibrary.flatMap((g) =>
      g.variants.map((v) => [`${g.id}/${v.id}`, mechanismById(g.mechanism)!, v.parameters as object, v.players.max] as const),
    ),
  ];
  it.each(versions)('%s: there is a sheet for everything', (_, m, parameters, seats) => {
    const country = countries[1]!;
    for (const own of [parameters, m.inCountry?.({ ...m.defaults, ...parameters }, country) ?? parameters])
      for (const need of m.sheets({ ...m.defaults, ...own }, seats)) {
        const kind = sheetKindById(need.sheet);
        expect([need.sheet, kind !== undefined]).toEqual([need.sheet, true]);
        if (need.copies === 0) continue;
        expect(kind!.forFamilies).toContain(m.id);
        const known = Object.keys(kind!.example);
        expect(Object.keys(need.data).filter((k) => !known.includes(k))).toEqual([]);
        const result = layOut(kind!, { ...usual, parameters: need.data, copies: need.copies, paper: country.paper, country });
        expect(result.ok ? null : result.problem.message).toBeNull();
      }
  });
});
