import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { AskedWire } from '../../contract/wire/recognise';
import { offersNow } from '../shelf/offers';
import { importShelf } from '../shelf/importShelf';
import { materialsOf, variantById } from '../shelf/shelfRows';
import { createGame } from '../shelf/shelfStore';
import { createVariant, updateVariant } from '../shelf/variantStore';
import { undoChange } from '../undo/undo';
import { ask, problemOf, Workspace } from '../workspace.testing';
import { acceptKnown } from './accept';
import { queueOf } from './queue';

const now = '2026-11-29T10:00:00.000Z';
let place: Workspace;
beforeEach(() => void (place = new Workspace()));
afterEach(() => place.remove());

const bring = (csv: string): void => void importShelf(place.db, new TextEncoder().encode(csv), true, now);
const asked = (title: string): AskedWire => queueOf(place.db).find((a) => a.title === title)!;
const row = 'Game,Grade,Players,Notes\n';

describe('how is each played?', () => {
  it('asks about every row of a file that tells no family, sure ones first', () => {
    importShelf(place.db, readFileSync('examples/shelf-as-kept.csv'), true, now);
    const queue = queueOf(place.db);
    expect(queue.length).toBeGreaterThan(30);
    expect(queue.map((a) => a.sure)).toEqual([...queue.map((a) => a.sure)].sort((x, y) => Number(y) - Number(x)));
    const sure = queue.filter((a) => a.sure);
    expect(sure.length / queue.length).toBeGreaterThan(0.5);
    // Each can be planned, though nobody has said how it is played.
    const offers = offersNow(place.db);
    const planned = offers.filter((o) => o.source === 'words');
    expect(planned.length / offers.length).toBeGreaterThan(0.85);
    expect(Math.max(...planned.map((o) => Math.max(...o.doses)))).toBeLessThanOrEqual(4);
  });

  it('proposes a shipped game where it is the same, with its numbers and what it practises', () => {
    bring(`${row}Make ten pairs,K-1,2 to 4,face DOWN in rows. flip two and keep them if they make 10\n`);
    const [first] = asked('Make ten pairs').guesses;
    expect(first).toMatchObject({ mechanism: 'pair-memory', twin: { title: 'Two Lamps Lit', versionTitle: 'tens', differs: [] } });
    expect(first!.practice.length).toBeGreaterThan(0);
  });

  it('takes yes for a guess: a family with numbers, players it seats, things to lay out; undone in one step', () => {
    bring(`${row}I have / who has,1-2,15,deal ALL 20 cards. read until it comes back to the first card\n`);
    const a = asked('I have / who has');
    const guess = a.guesses[0]!;
    const { change } = acceptKnown(place.db, a.variant, {
      version: a.version,
      mechanism: guess.mechanism,
      parameters: { ...guess.parameters },
    });
    const v = variantById(place.db, a.variant);
    expect(v).toMatchObject({ mechanism: 'chain-cards', said: 'guessed', declared: [], playersMax: 12 });
    expect(v.parameters).toMatchObject({ cards: 20 });
    expect(materialsOf(place.db, a.variant).length).toBeGreaterThan(0);
    expect(asked('I have / who has')).toBeUndefined();
    undoChange(place.db, change, now);
    expect(variantById(place.db, a.variant)).toMatchObject({ mechanism: null, said: 'words', playersMin: 15 });
    expect(asked('I have / who has')).toBeDefined();
  });

  it('is a guess until somebody notes how it went', async () => {
    bring(`${row}Pig dice,2-5,2,keep rolling as long as you dare. a 1 = lose that turn\n`);
    const a = asked('Pig dice');
    acceptKnown(place.db, a.variant, { version: a.version, mechanism: 'press-your-luck' });
    const said = async (): Promise<string> => ((await ask('GET', `/variants/${a.variant}`)).body as { said: string }).said;
    expect(await said()).toBe('guessed');
    const learner = (await ask('POST', '/learners', { nickname: 'Ada', born: '2018-05' })).body as { id: string };
    await ask('POST', '/evidence', {
      learner: learner.id,
      kind: 'note',
      skill: 'add-in-20',
      result: 'alone',
      at: '2026-11-28T10:00:00Z',
      variant: a.variant,
    });
    expect(await said()).toBe('owner');
  });

  it('takes the owner’s word on what it practises, and does not ask again', () => {
    bring(`${row}Tangram pictures,K-3,1,make the silhouettes\n`);
    const a = asked('Tangram pictures');
    expect(a.guesses[0]?.chance ?? 0).toBeLessThan(0.8);
    acceptKnown(place.db, a.variant, { version: a.version, declared: [{ skill: 'build-shapes' }] });
    expect(variantById(place.db, a.variant)).toMatchObject({ declared: [{ skill: 'build-shapes', perTenMinutes: 10 }], said: 'owner' });
    expect(asked('Tangram pictures')).toBeUndefined();
  });

  it('refuses to be told nothing, or what no family is called', () => {
    bring(`${row}Marble run,K-3,1,tubes\n`);
    const a = asked('Marble run');
    expect(problemOf(() => acceptKnown(place.db, a.variant, { version: a.version }))).toMatchObject({ code: 'malformed' });
    expect(problemOf(() => acceptKnown(place.db, a.variant, { version: a.version, mechanism: 'no-such' }))).toMatchObject({
      code: 'unknown-mechanism',
    });
    expect(problemOf(() => acceptKnown(place.db, a.variant, { version: 9, mechanism: 'pair-memory' }))).toMatchObject({ code: 'conflict' });
  });

  it('does not ask what the owner has said by hand, and keeps what she did not touch', () => {
    const game = createGame(place.db, { title: 'Levers', bin: 'Bees' }, now).id;
    const id = createVariant(place.db, game, { title: 'Own', declared: [{ skill: 'count-on', perTenMinutes: 6 }] }).id;
    expect(queueOf(place.db)).toEqual([]);
    bring(`${row}Dot flash,K,4,"show 3 sec, hide. how many?"\n`);
    const v = variantById(place.db, asked('Dot flash').variant);
    updateVariant(place.db, v.id, { minutes: 12 }, v.version);
    expect(variantById(place.db, v.id).said).toBe('words');
    updateVariant(place.db, v.id, { declared: [{ skill: 'see-to-5', perTenMinutes: 8 }] }, v.version + 1);
    expect(variantById(place.db, v.id).said).toBe('owner');
    updateVariant(place.db, id, { room: 'lively' }, 1);
    expect(variantById(place.db, id).room).toBe('lively');
  });
});
