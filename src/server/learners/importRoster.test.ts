import { afterEach, beforeEach, expect, it } from 'vitest';
import { problemOf, Workspace } from '../workspace.testing';
import { rosterCsv } from './exportRoster';
import { importRoster } from './importRoster';
import { allLearners, groupOf } from './learnerStore';

const today = '2026-11-10';
const now = `${today}T09:00:00.000Z`;
let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());
const bring = (text: string, commit = true) => importRoster(place.db, new TextEncoder().encode(text), commit, today, now);

it('is shown first and changes nothing until then', () => {
  expect(bring('nickname,born\nWren,2018-09', false)).toMatchObject({ committed: false, added: 0, drafts: [{ nickname: 'Wren', row: 2 }] });
  expect(allLearners(place.db)).toEqual([]);
});
it('is brought in whole, youngest first, with groups', () => {
  expect(bring('nickname,born,group\nWren,2018-09,Hill\nFern,2019-04,\nAlder,2018-09,hill')).toMatchObject({ committed: true, added: 3 });
  expect(allLearners(place.db).map((l) => [l.nickname, groupOf(place.db, l.id, today)])).toEqual([
    ['Fern', null],
    ['Alder', 'Hill'],
    ['Wren', 'Hill'],
  ]);
  expect(bring('nickname,born\nwren,2018-09')).toMatchObject({ added: 0, remarks: [{ row: 2 }] });
});
it('comes back in as it went out, groups and norms too', () => {
  bring('nickname,born,group,framework\nWren,2018-09,Hill,england\n=Fern,2019-04,,us\n"Alder, the tall",2018-09,Hill,us');
  const csv = rosterCsv(place.db, today);
  const all = () =>
    allLearners(place.db)
      .map((l) => [l.nickname, l.born, l.framework, groupOf(place.db, l.id, today)].join('|'))
      .sort();
  const before = all();
  place.remove();
  place = new Workspace();
  expect(bring(csv)).toMatchObject({ committed: true, added: 3 });
  expect(all()).toEqual(before);
});
it('with one bad row brings in nobody, and names every fault', () => {
  const { message, detail, row, field } = problemOf(() => bring('nickname,born\nWren,2018-09\n,2018-09\nFern,soon'));
  expect([row, field]).toEqual([3, 'nickname']);
  expect(message).toMatch(/Nobody was brought in\.$/);
  expect((detail as { problems: object[] }).problems).toHaveLength(2);
  expect(allLearners(place.db)).toEqual([]);
});
it('that is no list is refused in words', () => {
  expect(problemOf(() => bring(''))).toMatchObject({ code: 'not-csv' });
  expect(problemOf(() => bring('when,born\nWren,2018-09'))).toMatchObject({ code: 'missing-column', field: 'nickname' });
});
