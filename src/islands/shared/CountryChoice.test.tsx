// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { islandTest, Refusal } from '../island.testing';
import { App } from './App';
import { CountryChoice, usePapers } from './CountryChoice';
import { dayWords, spanWords } from './words';

const { api, show } = islandTest();
const Papers = () => <p>{usePapers().join(' then ')}</p>;
const view = () =>
  show(
    <App>
      <CountryChoice />
      <Papers />
    </App>,
  );
const countries = (country: string) => ({
  items: [
    { id: 'uk', title: 'United Kingdom', paper: 'a4' },
    { id: 'us', title: 'United States', paper: 'letter' },
  ],
  country,
});

describe('the country', () => {
  it('is chosen where its words show; days and paper follow', async () => {
    view();
    expect(await screen.findByText('a4 then letter')).toBeTruthy();
    expect(dayWords('2026-11-10')).toBe('Tuesday 10 November');
    expect(spanWords('2026-11-02', '2026-12-13')).toBe('2 November to 13 December 2026');
    const choice = await screen.findByRole('combobox');
    api().on('PUT /country', { country: 'us', dates: 'month-first' }).on('GET /countries', countries('us'));
    await userEvent.selectOptions(choice, 'United States');
    expect(await screen.findByText('letter then a4')).toBeTruthy();
    expect(api().writes.map((w) => w.body)).toEqual([{ country: 'us' }]);
    expect(dayWords('2026-11-10')).toBe('Tuesday, November 10');
    expect(spanWords('2026-11-02', '2027-02-13')).toBe('November 2, 2026 to February 13, 2027');
    delete document.documentElement.dataset['dates'];
  });
  it('stays what it was when it cannot be chosen, and says why', async () => {
    view();
    const choice = await screen.findByRole('combobox');
    api().on('PUT /country', new Refusal(503, { code: 'internal', message: 'The disk is full.' }));
    await userEvent.selectOptions(choice, 'United States');
    expect(await screen.findByText('The disk is full.')).toBeTruthy();
    await waitFor(() => expect((choice as HTMLSelectElement).value).toBe('uk'));
  });
});
