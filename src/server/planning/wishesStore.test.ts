import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { eraseLearner } from '../learners/eraseLearner';
import { createLearner } from '../learners/learnerStore';
import { ask, Workspace } from '../workspace.testing';
import { wishesForPlanning } from './wishesStore';

const now = '2026-11-10T10:00:00.000Z';
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  for (const nickname of ['Wren', 'Fern', 'Moss'])
    createLearner(place.db, { nickname, born: '2019-03', group: 'Lamps' }, '2026-11-10', now);
});
afterEach(() => place.remove());

const none = { fewerGames: false, longestWait: null, mix: false, oneLively: false, together: [], apart: [], version: 0 };

describe('wishes for every session', () => {
  it('are none until somebody says one, and are kept as they were said', async () => {
    expect((await ask('GET', '/wishes')).body).toEqual(none);
    expect(wishesForPlanning(place.db)).toEqual({ fewerGames: false, mix: false, oneLively: false, together: [], apart: [] });
    const wanted = { ...none, fewerGames: true, longestWait: 0.67, together: [['wren', 'fern']], apart: [['moss', 'wren']] };
    const put = await ask('PUT', '/wishes', wanted);
    expect(put).toMatchObject({ status: 200, body: { ...wanted, version: 1 } });
    place.openAgain();
    expect((await ask('GET', '/wishes')).body).toEqual(put.body);
    expect(wishesForPlanning(place.db)).toMatchObject({ longestWait: 0.67, apart: [['moss', 'wren']] });
  });
  it('names a pair once, and refuses what makes no sense without changing anything', async () => {
    const put = (more: object) => ask('PUT', '/wishes', { ...none, ...more });
    const refused = async (more: object, field: string): Promise<void> => {
      const { status, body } = await put(more);
      expect([status >= 400, body.error.field]).toEqual([true, field]);
    };
    await refused({ together: [['wren', 'oak']] }, 'together.0');
    await refused(
      {
        apart: [
          ['wren', 'fern'],
          ['moss', 'moss'],
        ],
      },
      'apart.1',
    );
    await refused(
      {
        together: [
          ['moss', 'fern'],
          ['wren', 'fern'],
        ],
        apart: [['fern', 'wren']],
      },
      'together.1',
    );
    await refused({ longestWait: 0.1 }, 'longestWait');
    expect((await ask('GET', '/wishes')).body).toEqual(none);
    const once = await put({
      together: [
        ['wren', 'fern'],
        ['fern', 'wren'],
      ],
    });
    expect(once.body.together).toEqual([['fern', 'wren']]);
  });
  it('are not written over what somebody else said meanwhile', async () => {
    await ask('PUT', '/wishes', { ...none, mix: true });
    expect(await ask('PUT', '/wishes', { ...none, fewerGames: true })).toMatchObject({ status: 409 });
    expect((await ask('GET', '/wishes')).body).toMatchObject({ mix: true, fewerGames: false });
  });
  it('forget a child who is erased', async () => {
    await ask('PUT', '/wishes', { ...none, together: [['wren', 'fern']], apart: [['moss', 'fern']] });
    eraseLearner(place.db, 'wren', 'Wren');
    expect((await ask('GET', '/wishes')).body).toMatchObject({ together: [], apart: [['moss', 'fern']], version: 2 });
  });
});
