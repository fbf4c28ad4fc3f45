import { describe, expect, it } from 'vitest';
import { hues } from './box';
import { tones } from './tones';

/** Lightness L* of CIE 1976 from sRGB (IEC 61966-2-1), with the white of D65; luminance by its weights 0.2126, 0.7152, 0.0722. */
function lightness(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = Number.parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  const y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
  return y > 216 / 24389 ? 116 * Math.cbrt(y) - 16 : (24389 / 27) * y;
}

describe('colours on a grey printer', () => {
  it('reckons lightness as published: black 0, middle grey of #777777 50, white 100', () => {
    expect(lightness('#000000')).toBeCloseTo(0, 6);
    expect(lightness('#777777')).toBeCloseTo(50.03, 1);
    expect(lightness('#ffffff')).toBeCloseTo(100, 4);
  });
  it('are eight steps of lightness apart, each from the next', () => {
    const order = hues.map((h) => lightness(tones[h])).sort((x, y) => x - y);
    order.slice(1).forEach((l, i) => expect(l - order[i]!).toBeGreaterThan(8));
    expect(order[0]! - lightness(tones.ink)).toBeGreaterThan(8);
    expect(lightness(tones.pale) - order.at(-1)!).toBeGreaterThan(7);
  });
});
