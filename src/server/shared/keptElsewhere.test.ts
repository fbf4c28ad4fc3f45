import iconv from 'iconv-lite';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { ask, Workspace } from '../workspace.testing';

let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());

/** The same list as a spreadsheet saves it on either of two systems. */
const kept = (text: string, encoding: string): string => iconv.encode(text, encoding).toString('base64');

// A dash between figures, curly quotation marks, an ellipsis, an apostrophe and an accent in each.
describe.each(['windows-1252', 'macintosh'])('a list that a spreadsheet saved as %s', (encoding) => {
  it('of games keeps its ages, players and words', async () => {
    const text =
      'game,ages,players,mechanism,source,notes\n“Lamps” in a row…,5–7,2–4,pair memory,made,Zoë’s own\nCafé Corner,6–8,2–3,pair memory,made,\n';
    const { status, body } = await ask('POST', '/imports/shelf', { base64: kept(text, encoding), commit: true });
    expect([status, body.problems, body.error]).toEqual([200, [], undefined]);
    const { items } = (await ask('GET', '/variants')).body;
    expect(items.map((v: { ages: number[]; players: object }) => [v.ages, v.players])).toEqual([
      [[5, 7], { min: 2, max: 4 }],
      [[6, 8], { min: 2, max: 3 }],
    ]);
    const games = (await ask('GET', '/games')).body.items as { title: string }[];
    expect(games.map((g) => g.title).sort()).toEqual(['Café Corner', '“Lamps” in a row…'].sort());
  });
  it('of children keeps their names and grades', async () => {
    const text = 'nickname,grade,group\nZoë,Year 2,Tuesday’s\nJosé,Year 3,Tuesday’s\n';
    const { status, body } = await ask('POST', '/imports/roster', { base64: kept(text, encoding), commit: true });
    expect([status, body.added]).toEqual([200, 2]);
    const names = (await ask('GET', '/learners')).body.items.map((l: { nickname: string }) => l.nickname);
    expect([...names].sort()).toEqual(['José', 'Zoë']);
  });
  it('of notes finds the child with an accent', async () => {
    await ask('POST', '/learners', { nickname: 'Zoë', born: '2019-09', framework: 'us' });
    const text = 'learner,date,skill,result,note\nZoë,2026-11-03,add-in-10,alone,she’s quick…\n';
    const { status, body } = await ask('POST', '/imports/evidence', { base64: kept(text, encoding), commit: true });
    expect([status, body.problems, body.added]).toEqual([200, [], 1]);
  });
  it('of weeks reads a span of them', async () => {
    const text = 'Week,Standards,What\n2026-11-30,K.CC.A.1,“Count” – to a hundred…\n2026-12-07,K.CC.B.4,Naïve’s\n';
    const { status, body } = await ask('POST', '/imports/pacing', { base64: kept(text, encoding), framework: 'us', commit: true });
    expect([status, body.problems, body.codes]).toEqual([200, [], 2]);
  });
});
