// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { ProfileWire } from '../../contract/wire/practice';
import { mechanismById } from '../../core/mechanisms/registry';
import { game, islandTest, page, Refusal, variant } from '../island.testing';
import GameView from './GameView';

const { api, show } = islandTest();

const family = mechanismById('pair-memory')!;
const mechanism = {
  id: family.id,
  family: family.id,
  title: family.title,
  words: family.words,
  earlyEnding: family.earlyEnding,
  told: family.told,
  parametersSchema: family.parametersSchema,
  policies: ['careful', 'typical', 'random'],
  example: { ...family.defaults },
  seats: family.seats,
};
const calculated = (more: Partial<ProfileWire> = {}): ProfileWire => ({
  variant: 'tens',
  seats: 3,
  games: 4000,
  source: 'calculated',
  doses: [{ skill: 'make-ten', perTenMinutes: 14.2, standardError: 0.3 }],
  minutes: { '0.1': 8, '0.5': 11.4, '0.9': 16, mean: 11.8, standardError: 0.05 },
  minuteHistogram: [0, 0, 0, 1, 4, 9, 4, 1],
  endsInSlot: 0.87,
  turns: { mean: 21.9, standardError: 0.03, quantiles: {} },
  waitingShare: 2 / 3,
  measures: { choices: 3.1, movelessShare: 0.06 },
  measureErrors: { choices: 0.02, movelessShare: 0.001, waitingShare: 0.001 },
  shares: { add: { mean: 1, standardError: 0 }, crossing: { mean: 0.4, standardError: 0.01 } },
  outcomes: { wins: [0.4, 0.3, 0.3], ties: 0, capped: 0, score: { mean: 0, standardError: 0 } },
  items: [{ op: 'add', a: 4, b: 6, result: 10, unknown: 'b', rep: 'numerals', count: 90 }],
  ...more,
});
const ready = (versions: ReturnType<typeof variant>[], profile: unknown = calculated()): void => {
  api()
    .on('GET /games/two-lamps/history', { plays: [], liked: [] })
    .on('GET /games/two-lamps', game('two-lamps', { bin: 'bees', condition: 'worn' }))
    .on('GET /variants', page(versions))
    .on('GET /bins', page([{ id: 'bees', title: 'Bees', position: 1 }]))
    .on(
      'GET /kinds',
      page([{ id: 'pair-cards', title: 'Pair cards', quantity: 0, plentiful: false, smallParts: true, caution: 'Small parts.' }]),
    )
    .on('GET /mechanisms', page([mechanism]))
    .on('POST /fairness', { fairness: null });
  for (const v of versions) api().on(`GET /variants/${v.id}/profile`, profile);
};
/** The latest write of a version or the like; playing for fairness is none. */
const written = (method: string) =>
  api()
    .writes.filter((w) => w.method === method)
    .at(-1)!;
const view = () => show(<GameView id="two-lamps" version={null} />);
const own = variant('own', 'two-lamps', {
  title: 'Own',
  mechanism: null,
  materials: [],
  declared: [{ skill: 'make-ten', perTenMinutes: 8 }],
});

describe('a game', () => {
  it('answers at a glance what it is like, whom it is fair to and who starts it', async () => {
    ready([variant('tens', 'two-lamps', { title: 'Tens' })]);
    api().on('GET /variants/tens/how-to', { howTo: null, quick: { mood: 'between', mixed: 'head-start', firstTime: 'taught' } });
    view();
    const fact = async (name: string) => (await screen.findByText(name)).nextElementSibling?.textContent;
    expect(await fact('Mood')).toBe('in between');
    expect(await fact('Older with younger')).toBe('yes, with a head start');
    expect(await fact('First time')).toBe('somebody shows it');
  });
  it('reads off first what decides: time, practice, for whom it is right, choice, and how long it stays open', async () => {
    ready(
      [variant('tens', 'two-lamps', { title: 'Tens' })],
      calculated({ endsInSlot: 0.94, minutes: { '0.1': 5, '0.5': 8.2, '0.9': 12, mean: 8.4, standardError: 0.1 } }),
    );
    const suited = { because: null, missing: null, low: 0.6, high: 0.9 };
    api().on('GET /variants/tens/suits', {
      items: [
        { learner: 'w', nickname: 'Wren', success: 0.8, ...suited },
        { learner: 'm', nickname: 'Moth', success: 0.97, ...suited },
      ],
    });
    const like = (mean: number) => ({ mean, standardError: 0.01 });
    api().on('POST /fairness', {
      fairness: {
        games: 600,
        wins: [like(0.5), like(0.5)],
        seatAdvantage: like(0.04),
        choice: like(0.2),
        choiceWord: 'somewhat',
        course: { games: 2000, leadChanges: like(2.31), known: 0.875, level: like(0.12), weakest: like(0.93) },
        handicap: null,
      },
    });
    view();
    const glance = within(await screen.findByRole('region', { name: 'At a glance' }));
    expect(await glance.findByText('8 min')).toBeTruthy();
    expect(glance.getByText('94 of 100 end inside 15')).toBeTruthy();
    expect(await glance.findByText('1 of 2')).toBeTruthy();
    expect(glance.getByText('just right now: Wren')).toBeTruthy();
    expect(await glance.findByText('somewhat')).toBeTruthy();
    expect(glance.getByText('88 %').nextElementSibling?.textContent).toBe('of a game nobody knows who wins');
    // The panel below says it in full, with its errors.
    const good = within((await screen.findByText('Is it a good game?')).closest('section')!);
    expect(good.getByText('2.3 ×').parentElement?.textContent).toContain('± 0.01');
    expect(good.getByText(/won games go to the weakest seat/).textContent).toMatch(/^31 of 100.*± 0.3; even would be 33$/);
    expect(good.getByText(/games end level/).textContent).toBe('12 of 100games end level');
    expect(good.getByText(/2,000 between like players/)).toBeTruthy();
  });
  it('says what it is, what it needs and that a thing is missing', async () => {
    ready([variant('tens', 'two-lamps', { title: 'Tens' })]);
    view();
    expect(await screen.findByText('Bees · made at home · worn')).toBeTruthy();
    expect(await screen.findByText(/^Small parts\. The maker’s age label/)).toBeTruthy();
    expect(await screen.findByRole('img', { name: 'missing' })).toBeTruthy();
  });
  it('without a version offers to add one', async () => {
    ready([]);
    view();
    expect(await screen.findByText('No version yet')).toBeTruthy();
    await userEvent.click(screen.getAllByRole('button', { name: 'Add a version' })[1]!);
    expect(await screen.findByText('A new version of Two Lamps')).toBeTruthy();
  });
  it('that is gone says so', async () => {
    api().on('GET /games/two-lamps', new Refusal(404, { code: 'not-found', message: 'There is no game "two-lamps".' }));
    view();
    expect(await screen.findByText('There is no game "two-lamps".')).toBeTruthy();
  });
  it('goes from version to version by arrows', async () => {
    ready([variant('tens', 'two-lamps', { title: 'Tens' }), own]);
    view();
    (await screen.findByRole('tab', { name: 'Tens' })).focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(screen.getByRole('tab', { name: 'Own' }).getAttribute('aria-selected')).toBe('true');
    expect(screen.queryByRole('tab', { name: 'Watch one game' })).toBeNull();
  });
  it('puts a version away with an undo, and says why when it cannot', async () => {
    ready([own]);
    api().on('POST /variants/own/retire', { id: 'own', change: 'c1' }).on('POST /undo', { undone: 'c1', what: 'Put away Own' });
    view();
    const away = within((await screen.findByText('Given time')).closest('section')!).getByRole('button', { name: 'Put away' });
    await userEvent.click(away);
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(api().writes.map((w) => [w.path, w.body])).toContainEqual(['/undo', { change: 'c1' }]));
    api().on('POST /variants/own/retire', new Refusal(409, { code: 'conflict', message: 'A session ahead needs it.' }));
    await userEvent.click(away);
    expect(await screen.findByText('A session ahead needs it.')).toBeTruthy();
  });
});

describe('what a version practises', () => {
  it('says how its numbers were made, about and in whole minutes, ± folded away', async () => {
    ready([variant('tens', 'two-lamps')]);
    view();
    expect(await screen.findByText(/Calculated from the rules: 4,000 simulated games of 3 typical players/)).toBeTruthy();
    expect(screen.getByText(/Four of five games take about 8 to 16 minutes/)).toBeTruthy();
    expect(screen.getByText('87 %')).toBeTruthy();
    expect(screen.getByText(/mean 11.8 ± 0.05 minutes, 21.9 ± 0.03 turns/).closest('details')!.open).toBe(false);
    expect(screen.getByText(/40 ± 1.0 % of all practice/)).toBeTruthy();
  });
  it('finds no fault where all wait for all others, and tells it where they do not', async () => {
    ready([variant('tens', 'two-lamps')]);
    const { unmount } = view();
    await screen.findByText('What the practice is made of');
    expect(screen.queryByText('Where the minutes go')).toBeNull();
    unmount();
    ready([variant('tens', 'two-lamps', { version: 2 })], calculated({ waitingShare: 0.5 }));
    view();
    expect(await screen.findByText('Where the minutes go')).toBeTruthy();
  });
  it('warns of a game that cannot end', async () => {
    ready(
      [variant('tens', 'two-lamps')],
      calculated({ outcomes: { wins: [], ties: 0, capped: 0.4, score: { mean: 0, standardError: 0 } } }),
    );
    view();
    expect((await screen.findByRole('alert')).textContent).toContain('Change a number of the version.');
  });
  it('is the owner’s word where it was declared, and nobody’s where nothing was said', async () => {
    ready([own], calculated({ source: 'declared', games: 0 }));
    const { unmount } = view();
    expect(await screen.findByRole('button', { name: 'Count one round' })).toBeTruthy();
    expect(screen.queryByText(/simulated games/)).toBeNull();
    unmount();
    ready([{ ...own, declared: [], version: 2 }], calculated({ source: 'none', games: 0 }));
    view();
    expect(await screen.findByText('Nobody has said yet what it practises')).toBeTruthy();
  });
  it('that cannot be worked out says why', async () => {
    ready([variant('tens', 'two-lamps')], new Refusal(422, { code: 'impossible-parameters', message: 'No pair makes 30.' }));
    view();
    expect(await screen.findByText('No pair makes 30.')).toBeTruthy();
  });
  it('is played more often as a job, and told when that fails', async () => {
    ready([variant('tens', 'two-lamps')]);
    api()
      .on('POST /simulations', { job: 'j1' })
      .on('GET /jobs/j1', {
        id: 'j1',
        status: 'failed',
        progress: 0.4,
        problem: { code: 'worker-lost', message: 'The calculation stopped unexpectedly.' },
      });
    view();
    await userEvent.click(await screen.findByRole('button', { name: 'Play it more often' }));
    expect(await screen.findByText('The calculation stopped unexpectedly.')).toBeTruthy();
    expect(api().asked.find((a) => a.path === '/simulations')!.body).toMatchObject({ mechanism: 'pair-memory', seats: 3, seed: 7 });
    expect(await screen.findByRole('button', { name: 'Play it more often' })).toBeTruthy();
  });
  it('makes a version easier for a named child, each change measured, and keeps it without the name', async () => {
    ready([variant('tens', 'two-lamps')]);
    const juno = { learner: 'juno', nickname: 'Juno', success: 0.5, low: 0.4, high: 0.6, because: null, missing: null };
    const change = {
      parameter: 'target',
      parameterTitle: 'Sum to reach',
      value: 8,
      children: [{ learner: 'juno', before: 0.5, after: 0.74 }],
    };
    api()
      .on('GET /variants/tens/suits', page([juno]))
      .on('POST /variants/tens/for', {
        variant: 'tens',
        changes: [{ ...change, minutes: { mean: 8.2, standardError: 0.1 } }],
      })
      .on('POST /variants', { id: 'new', change: 'c' });
    view();
    await userEvent.click(await screen.findByRole('button', { name: 'easier for Juno' }));
    const found = within(await screen.findByRole('group', { name: 'Easier for Juno' }));
    expect((await found.findByText(/Sum to reach/)).textContent).toMatch(/Sum to reach: 8\. About 7 of 10 right instead of 5; about 8 min/);
    expect(api().asked.find((a) => a.path === '/variants/tens/for')!.body).toEqual({ learners: ['juno'], direction: 'easier' });
    await userEvent.click(found.getByRole('button', { name: 'Keep as a version' }));
    await waitFor(() => expect(api().writes.some((w) => w.path === '/variants')).toBe(true));
    const kept = api().writes.find((w) => w.path === '/variants')!.body as { title: string; parameters: Record<string, unknown> };
    expect(kept.parameters['target']).toBe(8);
    expect(kept.title).not.toMatch(/juno/i);
    await waitFor(() => expect(screen.queryByRole('group', { name: 'Easier for Juno' })).toBeNull());
  });
  it('says honestly where no single change does', async () => {
    ready([variant('tens', 'two-lamps')]);
    api()
      .on(
        'GET /variants/tens/suits',
        page([{ learner: 'juno', nickname: 'Juno', success: 0.5, low: 0.4, high: 0.6, because: null, missing: null }]),
      )
      .on('POST /variants/tens/for', { variant: 'tens', changes: [] });
    view();
    await userEvent.click(await screen.findByRole('button', { name: 'harder for Juno' }));
    expect(await screen.findByText(/No single change makes it harder for Juno/)).toBeTruthy();
  });
  it('says whom it suits, in words and never as a rank', async () => {
    ready([variant('tens', 'two-lamps')]);
    const suit = (learner: string, more: object) => ({
      learner,
      nickname: learner,
      success: 0.8,
      low: 0.7,
      high: 0.9,
      because: null,
      missing: null,
      ...more,
    });
    api().on(
      'GET /variants/tens/suits',
      page([
        suit('Fern', { success: 0.7 }),
        suit('Juno', { success: 0.699 }),
        suit('Lark', { success: 0.9 }),
        suit('Moss', { success: 0.901 }),
        suit('Owl', { because: 'needs', missing: 'Counting On' }),
        suit('Wren', { because: 'accommodation' }),
      ]),
    );
    view();
    const table = (await screen.findByText('Whom it suits now')).closest('section')!;
    expect(
      within(table)
        .getAllByRole('row')
        .slice(1)
        .map((r) => r.children[2]!.textContent),
    ).toEqual([
      'just right',
      'with a tool or somebody beside',
      'just right',
      'easy; good for playing again',
      'first: counting on',
      'not as it is; see what games should allow for',
    ]);
    expect(within(table).getAllByLabelText('about 8 of 10, between 7 and 9')).toHaveLength(2);
  });
});

describe('changing a version', () => {
  const open = async (): Promise<void> => {
    view();
    await userEvent.click(await screen.findByRole('button', { name: 'Change version' }));
    await screen.findByText('Change Two Lamps, Tens');
  };
  it('sends all of it with the version that was seen, and shows what is wrong at its field', async () => {
    ready([variant('tens', 'two-lamps', { title: 'Tens', version: 4 })]);
    api().on('PATCH /variants/tens', new Refusal(422, { code: 'out-of-range', field: 'players', message: 'It is played by 1 to 6.' }));
    await open();
    await userEvent.selectOptions(await screen.findByLabelText('Helper'), 'needed');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    const field = await screen.findByText('It is played by 1 to 6.');
    expect(screen.getByLabelText('Players from').getAttribute('aria-describedby')).toContain(field.id);
    expect(written('PATCH').body).toMatchObject({ helper: 'needed', version: 4, mechanism: 'pair-memory', ages: [5, 8] });
  });
  it('says so when somebody else changed it meanwhile', async () => {
    ready([variant('tens', 'two-lamps', { title: 'Tens' })]);
    api().on(
      'PATCH /variants/tens',
      new Refusal(409, { code: 'conflict', message: 'Somebody changed this in the meantime. Look at both and save again.' }),
    );
    api().on('GET /variants/tens', variant('tens', 'two-lamps', { title: 'Tens', minutes: 25, helper: 'alone', version: 2 }));
    await open();
    await userEvent.clear(screen.getByLabelText('Minutes'));
    await userEvent.type(screen.getByLabelText('Minutes'), '9');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('alert', { name: 'Two changed this' })).textContent).toContain('theirs: 25');
    await userEvent.click(screen.getByRole('button', { name: 'Keep mine' }));
    await waitFor(() => expect(api().writes.at(-1)!.body).toMatchObject({ minutes: 9, helper: 'alone', version: 2 }));
  });
  it('forgets the numbers of the family it no longer plays by', async () => {
    ready([variant('tens', 'two-lamps', { title: 'Tens', parameters: { sum: 10 } })]);
    api().on('PATCH /variants/tens', { id: 'tens', version: 2, change: 'c' });
    await open();
    await screen.findByText('Its numbers and rules');
    await userEvent.selectOptions(screen.getByLabelText('How it plays'), '');
    expect(screen.queryByText('Its numbers and rules')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written('PATCH').body).toMatchObject({ mechanism: null, parameters: {} }));
  });
  it('a new one is sent once however often it is tried', async () => {
    ready([]);
    api().on('POST /variants', new Refusal(507, { code: 'no-room', message: 'There is no room left on the disk.' }));
    view();
    await userEvent.click((await screen.findAllByRole('button', { name: 'Add a version' }))[0]!);
    await userEvent.type(await screen.findByLabelText('Name of the version'), 'Fives');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('There is no room left on the disk.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(api().writes.filter((w) => w.path === '/variants')).toHaveLength(2));
    const [first, second] = api().writes.filter((w) => w.path === '/variants');
    expect(first!.key).toBe(second!.key);
    await userEvent.type(screen.getByLabelText('Name of the version'), '!');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(api().writes.at(-1)!.key).not.toBe(first!.key));
  });
});

describe('counting one round', () => {
  const count = async (): Promise<void> => {
    ready([own], calculated({ source: 'declared', games: 0 }));
    view();
    await userEvent.click(await screen.findByRole('button', { name: 'Count one round' }));
  };
  it('goes by keyboard, takes back the last, and keeps only what can be', async () => {
    await count();
    await userEvent.type(await screen.findByLabelText('First number'), '8');
    await userEvent.type(screen.getByLabelText('Second number'), '5{Enter}');
    expect(screen.getByText('1')).toBeTruthy();
    expect(document.activeElement).toBe(screen.getByLabelText('First number'));
    await userEvent.type(screen.getByLabelText('First number'), 'x');
    await userEvent.type(screen.getByLabelText('Second number'), '5{Enter}');
    expect(screen.getByText('1')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /take back 8/ }));
    expect(screen.getByText('What was counted shows here as practice in ten minutes.')).toBeTruthy();
  });
  it('is kept beside the version, and says so when it cannot be', async () => {
    api().on('PATCH /variants/own', new Refusal(409, { code: 'conflict', message: 'Somebody changed this in the meantime.' }));
    await count();
    for (let i = 0; i < 3; i++) {
      await userEvent.type(await screen.findByLabelText('First number'), '8');
      await userEvent.type(screen.getByLabelText('Second number'), '5{Enter}');
    }
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('Somebody changed this in the meantime.')).toBeTruthy();
    const { declared, version } = written('PATCH').body as { declared: { skill: string; counted: number }[]; version: number };
    expect(declared.find((d) => d.skill === 'make-ten')).toMatchObject({ counted: 3 });
    expect(version).toBe(1);
  });
});
