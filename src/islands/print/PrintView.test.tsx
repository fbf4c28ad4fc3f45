// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { asWritten } from '../../contract/countries';
import { type AskedSheet, sheetRequest } from '../../contract/sheetRequest';
import { layOut } from '../../core/print/layOut';
import { sheetKinds } from '../../core/print/registry';
import { game, islandTest, page, Refusal, variant } from '../island.testing';
import PrintView from './PrintView';

const { api, show, gone } = islandTest();
const saved: string[] = [];
beforeEach(() => {
  localStorage.clear();
  saved.length = 0;
  URL.createObjectURL = () => 'blob:sheet';
  URL.revokeObjectURL = () => undefined;
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    saved.push(this.download);
  });
});
afterEach(() => vi.restoreAllMocks());

/** Lays out as the program does, so that the desk shows true sheets. */
const laid =
  (sheet: string) =>
  (body: object): unknown => {
    const checked = sheetRequest({ ...body, sheet } as AskedSheet, asWritten);
    if (!checked.ok) return new Refusal(422, checked.problem);
    const result = layOut(checked.value.kind, checked.value.request);
    if (!result.ok) return new Refusal(422, result.problem);
    const { answers, ...made } = result.value;
    return { ...made, answerPages: answers.length, minutes: 11 };
  };
const wire = sheetKinds
  .filter((k) => ['number-cards', 'score-sheet', 'grid-cards'].includes(k.id))
  .map((k) => ({
    id: k.id,
    title: k.title,
    about: k.about,
    group: k.group,
    forFamilies: [...k.forFamilies],
    parametersSchema: k.parametersSchema,
    example: k.example,
    cautions: ['Craft knives are for grown-ups only.'],
  }));
function desk(): void {
  api()
    .on('GET /sheets', page(wire))
    .on('GET /countries', { items: [{ id: 'uk', title: 'United Kingdom', paper: 'a4' }], country: 'uk' });
  for (const k of wire) api().on(`POST /sheets/${k.id}/layout`, laid(k.id));
}
const asked = (path: string): Record<string, unknown>[] =>
  api()
    .asked.filter((a) => a.path === path && a.method !== 'GET')
    .map((a) => a.body as Record<string, unknown>);

describe('the printer’s desk', () => {
  it('shows the first sheet at once, in millimetres, with what was checked, sheets, cuts and minutes', async () => {
    desk();
    show(<PrintView sheet={null} variant={null} />);
    const sheet = await screen.findByRole('img', { name: 'Number cards, sheet 1, front' });
    expect(sheet.getAttribute('viewBox')).toBe('-12 -12 222 309');
    expect(within(sheet).getByText('210')).toBeTruthy();
    expect(screen.getByText(/40 cards, 4 of each number/)).toBeTruthy();
    const sums = screen.getByLabelText('To print').querySelector('dl')!;
    expect(sums.textContent).toBe('5sheets39cuts11minutes, about');
    expect(screen.getByText(/^Craft knives are for grown-ups only\. The maker’s age label/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Next sheet' }));
    expect(screen.getByRole('img', { name: 'Number cards, sheet 2, front' })).toBeTruthy();
  });
  it('turns settings, shows the backs, and keeps how it is printed for the next time', async () => {
    desk();
    show(<PrintView sheet="number-cards" variant={null} />);
    await screen.findByRole('img', { name: /Number cards/ });
    await userEvent.click(screen.getByRole('button', { name: 'To: more' }));
    await screen.findByText(/44 cards/);
    await userEvent.click(screen.getByRole('button', { name: 'long edge' }));
    await userEvent.click(screen.getByRole('button', { name: 'kite' }));
    await userEvent.click(await screen.findByRole('button', { name: 'back' }));
    expect(await screen.findByRole('img', { name: 'Number cards, sheet 1, back' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'thin' }));
    await waitFor(() =>
      expect(asked('/sheets/number-cards/layout').at(-1)).toMatchObject({
        ink: 'thin',
        duplex: 'long',
        mark: 'kite',
        parameters: { high: 11 },
      }),
    );
    expect(JSON.parse(localStorage.getItem('zeitgeber.print')!)).toMatchObject({ ink: 'thin', duplex: 'long' });
    await userEvent.click(screen.getByRole('button', { name: 'Others of the same sort' }));
    await waitFor(() => expect(asked('/sheets/number-cards/layout').at(-1)).toMatchObject({ seed: 2 }));
  });
  it('opens with the settings that a link brings, and with the usual ones where they cannot be read', async () => {
    desk();
    show(<PrintView sheet="number-cards" variant={null} given={JSON.stringify({ high: 3 })} />);
    await screen.findByText(/12 cards/);
    show(<PrintView sheet="number-cards" variant={null} given="{no" />);
    await screen.findByText(/40 cards/);
  });
  it('says what is wrong with a sheet and goes on showing the last one', async () => {
    desk();
    show(<PrintView sheet="number-cards" variant={null} />);
    await screen.findByRole('img', { name: /Number cards/ });
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '-5' } });
    expect((await screen.findByRole('alert')).textContent).toContain('The range runs backwards: 1 to -5.');
    expect(screen.getByRole('img', { name: /Number cards/ })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /on a list/ })).toBeNull();
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '3' } });
    await screen.findByText(/12 cards/);
    expect(screen.queryByRole('alert')).toBeNull();
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '-5' } });
    await screen.findByRole('alert');
    fireEvent.click(screen.getByRole('button', { name: 'Back to its usual settings' }));
    await screen.findByText(/40 cards/);
    expect(screen.queryByRole('alert')).toBeNull();
  });
  it('prints one or a list as one file or several, and what was printed and made stands in Things with an undo', async () => {
    desk();
    api()
      .on('POST /printouts', 'a file')
      .on('POST /made/several', { ids: ['m1', 'm2'], change: 'c1' })
      .on('POST /undo', { undone: 'c1', what: 'Made score sheet' });
    show(<PrintView sheet="number-cards" variant={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Put it on a list, and go on' }));
    await userEvent.selectOptions(screen.getByLabelText('Sheet'), 'score-sheet');
    await screen.findByRole('img', { name: /Score sheet/ });
    await userEvent.click(screen.getByRole('button', { name: 'Put this one on the list too' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Print 6 sheets as one PDF' }));
    await waitFor(() => expect(saved).toEqual(['sheets.pdf']));
    expect((asked('/printouts')[0] as { sets: { sheet: string }[] }).sets.map((s) => s.sheet)).toEqual(['number-cards', 'score-sheet']);
    await userEvent.click(screen.getByRole('button', { name: 'One PDF for each set' }));
    await waitFor(() => expect(saved).toEqual(['sheets.pdf', '1-number-cards.pdf', '2-score-sheet.pdf']));
    await userEvent.click(screen.getByRole('button', { name: 'They are made' }));
    expect(await screen.findByText(/2 sets stand in Things now/)).toBeTruthy();
    expect((asked('/made/several')[0] as { sets: { sheet: string }[] }).sets.map((s) => s.sheet)).toEqual(['number-cards', 'score-sheet']);
    // One step takes both back.
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(api().writes.filter((w) => w.path === '/undo')).toHaveLength(1));
    expect(gone()).toBeNull();
  });
  it('keeps the list, and what is printed but not cut yet, for another evening', async () => {
    desk();
    api()
      .on('POST /printouts', 'a file')
      .on('POST /made/several', { ids: ['m1'], change: 'c1' });
    const { unmount } = show(<PrintView sheet="number-cards" variant={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Put it on a list, and go on' }));
    await userEvent.click(await screen.findByRole('button', { name: /Print 5 sheets/ }));
    await screen.findByRole('button', { name: 'It is made' });
    unmount();
    show(<PrintView sheet="score-sheet" variant={null} />);
    await screen.findByRole('img', { name: /Score sheet/ });
    await userEvent.click(screen.getByRole('button', { name: 'Put this one on the list too' }));
    expect(screen.getByText(/Printed and cut\?/).textContent).toBe('Printed and cut? Number cards');
    await userEvent.click(screen.getByRole('button', { name: 'It is made' }));
    // What came on the list since stays there.
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Take Number cards off the list' })).toBeNull());
    expect(screen.getByRole('button', { name: 'Take Score sheet off the list' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'It is made' })).toBeNull();
  });
  it('asks no more about what will not be cut, and prints twice what is made once', async () => {
    desk();
    api().on('POST /printouts', 'a file');
    show(<PrintView sheet="number-cards" variant={null} />);
    for (const _ of [1, 2]) await userEvent.click(await screen.findByRole('button', { name: /Print 5 sheets/ }));
    await waitFor(() => expect(asked('/printouts')).toHaveLength(2));
    expect(await screen.findByRole('button', { name: 'It is made' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Not made' }));
    expect(screen.queryByText(/Printed and cut/)).toBeNull();
    expect(asked('/made/several')).toEqual([]);
  });
  it('takes a set off the list and opens one of it again', async () => {
    desk();
    show(<PrintView sheet="number-cards" variant={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Put it on a list, and go on' }));
    await userEvent.selectOptions(screen.getByLabelText('Sheet'), 'score-sheet');
    await screen.findByRole('img', { name: /Score sheet/ });
    await userEvent.click(screen.getByRole('button', { name: 'Number cards' }));
    await screen.findByRole('img', { name: /Number cards/ });
    await userEvent.click(screen.getByRole('button', { name: 'Take Number cards off the list' }));
    expect(screen.getByRole('button', { name: 'Put it on a list, and go on' })).toBeTruthy();
  });
  it('prints what a version needs, the same with smaller numbers, or its missing cards', async () => {
    desk();
    const set = (parameters: object, pieces: number) => ({
      sheet: 'number-cards',
      title: 'Number cards',
      parameters,
      copies: 1,
      sheets: 1,
      pieces,
      cuts: 8,
      minutes: 3,
      teaches: parameters !== null && 'takeTen' in parameters,
    });
    api().on('GET /variants/lever-20/sheets', {
      items: [set({ high: 10 }, 40)],
      smaller: [set({ high: 6 }, 24)],
      missing: [set({ only: [3, 3] }, 2)],
      refused: [
        {
          sheet: 'score-sheet',
          title: 'Score sheet',
          why: '901 spaces do not fit on one page; 320 are the most.',
          parameters: {},
          copies: 2,
        },
      ],
      sheets: 1,
      cuts: 8,
      minutes: 3,
    });
    show(<PrintView sheet={null} variant="lever-20" />);
    expect(await screen.findByText('Missing cards only')).toBeTruthy();
    expect(screen.getByText(/901 spaces do not fit/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'As a deck that teaches itself' })).toBeNull();
    // What is missing lies on the desk at once.
    await screen.findByText(/^2 cards\./);
    const smaller = within(screen.getByText('The same with smaller numbers').parentElement!);
    await userEvent.click(smaller.getByRole('button', { name: 'Show' }));
    await screen.findByText(/24 cards/);
    await userEvent.click(smaller.getByRole('button', { name: 'Put on the list' }));
    expect(screen.getByRole('button', { name: 'Print 1 sheet as one PDF' })).toBeTruthy();
    await userEvent.click(smaller.getByRole('button', { name: 'Turn its settings' }));
    expect((screen.getByLabelText('To') as HTMLInputElement).value).toBe('6');
    // A sheet that its numbers refuse is a button away from other numbers.
    await userEvent.click(screen.getByRole('tab', { name: 'A game' }));
    const refused = within(await screen.findByText(/901 spaces do not fit/));
    await userEvent.click(refused.getByRole('button', { name: 'Turn its settings' }));
    await screen.findByRole('img', { name: /Score sheet/ });
    expect(screen.getByLabelText('Sets')).toHaveProperty('value', '2');
  });
  const needs = (items: object[]) => ({ items, smaller: [], missing: [], refused: [], sheets: 1, cuts: 8, minutes: 3 });
  const cards = (parameters: object, teaches = false) => ({
    sheet: 'number-cards',
    title: 'Number cards',
    parameters,
    copies: 1,
    sheets: 1,
    pieces: 40,
    cuts: 8,
    minutes: 3,
    teaches,
  });
  it('offers a deck that teaches itself where its cards do not all play alike', async () => {
    desk();
    api().on('GET /variants/lever-20/sheets', needs([cards({ takeTen: 2 }, true)]));
    show(<PrintView sheet={null} variant="lever-20" />);
    await userEvent.click(await screen.findByRole('button', { name: 'As a deck that teaches itself' }));
    await waitFor(() => expect(asked('/sheets/number-cards/layout').at(-1)).toMatchObject({ parameters: { takeTen: 2, teach: true } }));
    expect(await screen.findByText(/^Stack the cards by/)).toBeTruthy();
  });
  it('prints every version of a game, each with a shape of its own and its name at the foot', async () => {
    desk();
    api()
      .on('GET /games', page([game('levers')]))
      .on('GET /variants', page([variant('to-5', 'levers'), variant('to-10', 'levers')]))
      .on('GET /variants/to-5/sheets', needs([cards({ high: 5 })]))
      .on('GET /variants/to-10/sheets', needs([cards({ high: 10 })]))
      .on('POST /printouts', 'a file');
    show(<PrintView sheet={null} variant="to-5" />);
    await userEvent.click(await screen.findByRole('button', { name: /A set for each of its 2 versions/ }));
    await userEvent.click(await screen.findByRole('button', { name: 'Print 2 sheets as one PDF' }));
    await waitFor(() => expect(saved).toHaveLength(1));
    const sets = (asked('/printouts')[0] as { sets: { mark: string; label: string }[] }).sets;
    expect(sets.map((s) => s.label)).toEqual(['to-5', 'to-10']);
    expect(new Set(sets.map((s) => s.mark)).size).toBe(2);
    expect(sets.map((s) => s.mark)).not.toContain('none');
  });
  it('prints the missing pieces alone: ticked on the sheet, with the keys too, the very same ones', async () => {
    desk();
    api()
      .on('GET /games', page([game('levers', { condition: '2 cards missing' })]))
      .on('GET /variants', page([variant('to-10', 'levers')]))
      .on('GET /variants/to-10/sheets', needs([{ ...cards({ high: 10 }), copies: 3 }]))
      .on('PATCH /games/levers', { id: 'levers', change: 'c1' })
      .on('POST /printouts', 'a file');
    show(<PrintView sheet={null} variant="to-10" />);
    expect((await screen.findByText('2 cards missing')).closest('p')!.textContent).toBe('The shelf says of Levers: 2 cards missing.');
    await userEvent.click(await screen.findByRole('button', { name: 'Only what is missing' }));
    // Nothing is printed as long as nothing is ticked.
    const third = await screen.findByRole('checkbox', { name: 'Piece 3: 3' });
    expect(screen.queryByRole('button', { name: /as one PDF/ })).toBeNull();
    await userEvent.click(third);
    await userEvent.click(screen.getByRole('button', { name: 'Next sheet' }));
    screen.getByRole('checkbox', { name: 'Piece 12: 2' }).focus();
    await userEvent.keyboard(' ');
    expect(screen.getByText('2 pieces ticked, on all sheets.')).toBeTruthy();
    await userEvent.click(await screen.findByRole('button', { name: 'Print 1 sheet as one PDF' }));
    await waitFor(() => expect(saved).toHaveLength(1));
    const [set] = (asked('/printouts')[0] as { sets: object[] }).sets;
    expect(set).toMatchObject({ sheet: 'number-cards', parameters: { high: 10 }, only: [3, 12], copies: 1 });
    // No new set is made by it; the game is whole again with a button.
    expect(screen.queryByText(/Printed and cut/)).toBeNull();
    await userEvent.click(await screen.findByRole('button', { name: 'It is whole again' }));
    expect(await screen.findByText('Levers is whole again.')).toBeTruthy();
    expect(api().writes.find((w) => w.path === '/games/levers')?.body).toEqual({ condition: '', version: 1 });
  });
  it('ticks anew once the set is another, and prints all of it again when asked', async () => {
    desk();
    show(<PrintView sheet="number-cards" variant={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Only some pieces' }));
    await userEvent.click(await screen.findByRole('checkbox', { name: 'Piece 3: 3' }));
    await userEvent.click(screen.getByRole('button', { name: 'To: more' }));
    expect(await screen.findByText(/^Tick the pieces that are lost/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /as one PDF/ })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Only some pieces' }));
    expect(await screen.findByRole('button', { name: 'Print 5 sheets as one PDF' })).toBeTruthy();
    expect(screen.queryByRole('checkbox', { name: /^Piece/ })).toBeNull();
  });
  it('leads to the library where no game on the shelf is known how to play', async () => {
    desk();
    api().on('GET /games', page([])).on('GET /variants', page([]));
    show(<PrintView sheet={null} variant={null} />);
    await userEvent.click(await screen.findByRole('tab', { name: 'A game' }));
    expect((await screen.findByRole('link', { name: 'Look through the library' })).getAttribute('href')).toMatch(/^.shelf.library/);
  });
  it('has a score sheet for a game that needs nothing printed', async () => {
    desk();
    api().on('GET /variants/lever-20/sheets', needs([]));
    show(<PrintView sheet={null} variant="lever-20" />);
    await userEvent.click(await screen.findByRole('button', { name: 'A score sheet for it' }));
    expect(await screen.findByRole('img', { name: /Score sheet/ })).toBeTruthy();
  });
  it('prints the labels of one bin or of all on the paper chosen last; no sheet lies there then', async () => {
    localStorage.setItem('zeitgeber.print', JSON.stringify({ paper: 'letter' }));
    desk();
    const bins = ['bin-1', 'bin-2'].map((id) => ({ id, title: id, position: 1 }));
    api().on('GET /bins', page(bins));
    for (const b of bins) api().on(`POST /bins/${b.id}/label`, 'a file');
    show(<PrintView sheet={null} variant={null} />);
    await userEvent.click(await screen.findByRole('tab', { name: 'Labels' }));
    expect(screen.getByText('The desk is clear')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /as one PDF/ })).toBeNull();
    await userEvent.click(await screen.findByRole('button', { name: 'Print the labels' }));
    await waitFor(() => expect(saved).toEqual(['labels-bin-1.pdf']));
    expect(asked('/bins/bin-1/label')).toMatchObject([{ paper: 'letter' }]);
    await userEvent.click(await screen.findByRole('button', { name: 'Those of all 2 bins, a file each' }));
    await waitFor(() => expect(saved).toEqual(['labels-bin-1.pdf', 'labels-bin-1.pdf', 'labels-bin-2.pdf']));
  });
  it('brings whose set it is with a link', async () => {
    desk();
    show(<PrintView sheet="number-cards" variant={null} whose="Wren" />);
    await waitFor(() => expect(asked('/sheets/number-cards/layout').at(-1)).toMatchObject({ label: 'Wren' }));
  });
  it('tells how far a long print is, and stops it', async () => {
    desk();
    api()
      .on('POST /printouts', { job: 'j1' })
      .on('GET /jobs/j1', { id: 'j1', status: 'running', progress: 0.4 })
      .on('DELETE /jobs/j1', { id: 'j1', status: 'cancelled', progress: 0.4 });
    show(<PrintView sheet="number-cards" variant={null} />);
    await userEvent.click(await screen.findByRole('button', { name: /Print 5 sheets/ }));
    expect(await screen.findByText('Printing 40 %')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(await screen.findByRole('button', { name: /Print 5 sheets/ })).toBeTruthy();
    expect(saved).toEqual([]);
    expect(api().asked.some((a) => a.method === 'DELETE' && a.path === '/jobs/j1')).toBe(true);
  });
  it('opens what was made before as it was, and asks how long it took', async () => {
    desk();
    const made = {
      id: 'm1',
      sheet: 'number-cards',
      title: 'Number cards',
      parameters: { high: 5 },
      seed: 77,
      paper: 'letter',
      form: 'usual',
      mark: 'lamp',
      label: 'red bag',
      copies: 1,
      pieces: 20,
      variant: null,
      thing: 'number-cards',
      madeOn: '2026-11-03',
      minutes: null,
    };
    api()
      .on('GET /made', page([made]))
      .on('PATCH /made/m1', { ok: true, change: 'c2' });
    show(<PrintView sheet={null} variant={null} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Print again' }));
    await waitFor(() =>
      expect(asked('/sheets/number-cards/layout').at(-1)).toMatchObject({
        seed: 77,
        mark: 'lamp',
        label: 'red bag',
        paper: 'letter',
        parameters: { high: 5 },
      }),
    );
    const took = screen.getByLabelText('Minutes that Number cards took');
    await userEvent.type(took, '14');
    fireEvent.blur(took);
    await waitFor(() => expect(asked('/made/m1')).toEqual([{ minutes: 14 }]));
  });
});
