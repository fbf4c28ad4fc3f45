// @vitest-environment jsdom
import { cleanup, render } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { asWritten } from '../../contract/countries';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { mechanismById, mechanisms } from '../../core/mechanisms/registry';
import type { Picture } from '../../core/play/picture';
import { Drawing } from '../../ui/drawing/Drawing';

afterEach(cleanup);

/** All that is drawn of one family: as it comes and in every shipped version. */
const picturesOf = (family: string): Picture[] =>
  [{}, ...shippedLibrary.filter((g) => g.mechanism === family).flatMap((g) => g.variants.map((v) => v.parameters))].flatMap((p) =>
    mechanismById(family)!
      .howTo({ ...mechanismById(family)!.defaults, ...p }, asWritten)
      .pictures.map((x) => x.picture),
  );

describe('a drawing', () => {
  it.each(mechanisms.map((m) => m.id))('of %s has real places, letters large enough, and stays inside', (family) => {
    for (const picture of picturesOf(family)) {
      const { container } = render(<Drawing picture={picture} />);
      const svg = container.querySelector('svg')!;
      expect(svg.innerHTML).not.toMatch(/NaN|undefined|Infinity/);
      expect(svg.querySelectorAll('*').length, JSON.stringify(picture)).toBeGreaterThan(1);
      for (const text of svg.querySelectorAll('text')) {
        expect(Number(text.getAttribute('font-size'))).toBeGreaterThanOrEqual(12);
        const [x, y] = [Number(text.getAttribute('x')), Number(text.getAttribute('y'))];
        const turned = text.closest('[transform]') !== null;
        if (!turned) expect([JSON.stringify(picture), x >= 0 && x <= 180 && y >= 0 && y <= 120]).toEqual([JSON.stringify(picture), true]);
      }
      for (const r of svg.querySelectorAll('rect')) {
        expect(Number(r.getAttribute('width'))).toBeGreaterThan(0);
        if (!r.closest('[transform]'))
          expect([
            JSON.stringify(picture),
            Number(r.getAttribute('x')) >= 0 && Number(r.getAttribute('x')) + Number(r.getAttribute('width')) <= 180.5,
          ]).toEqual([JSON.stringify(picture), true]);
      }
      cleanup();
    }
  });
  it('is told to readers only where it is named', () => {
    const { container, getByRole } = render(
      <>
        <Drawing picture={{ draw: 'dice', faces: [3] }} />
        <Drawing picture={{ draw: 'dice', faces: [3] }} title="A three" />
      </>,
    );
    expect(container.querySelectorAll('[aria-hidden="true"]')).toHaveLength(1);
    expect(getByRole('img', { name: 'A three' })).toBeTruthy();
  });
  it('names every column where there is room, and every second one where two digits would run together', () => {
    const names = (columns: number) =>
      [
        ...render(
          <Drawing picture={{ draw: 'columns', first: 1, heights: Array<number>(columns).fill(1), full: 4 }} />,
        ).container.querySelectorAll('text'),
      ].map((t) => t.textContent);
    expect(names(6)).toEqual(['1', '2', '3', '4', '5', '6']);
    expect(names(12)).toEqual(['1', '3', '5', '7', '9', '11']);
    cleanup();
  });
  it('shows a moment of its version: two versions of one family differ', () => {
    const html = (parameters: object): string =>
      render(
        <Drawing
          picture={
            mechanismById('close-the-tiles')!.howTo({ ...mechanismById('close-the-tiles')!.defaults, ...parameters }, asWritten).pictures[1]
              .picture
          }
        />,
      ).container.innerHTML;
    expect(html({ tiles: 6 })).not.toBe(html({ tiles: 12 }));
  });
});
