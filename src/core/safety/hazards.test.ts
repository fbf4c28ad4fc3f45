import { describe, expect, it } from 'vitest';
import { shippedKinds } from '../../contract/shippedData';
import { cautionOf, cautionOfWork, cautionsOnce, hazards } from './hazards';

describe('what can hurt', () => {
  it('has a caution each that defers to the label and local rules', () => {
    for (const h of hazards) expect(cautionOf([h])).toMatch(/\. The maker’s age label and local rules come first\.$/);
    expect(cautionOf([])).toBeNull();
    expect(cautionOf(['small-parts', 'allergy'])!.match(/come first/g)).toHaveLength(1);
  });
  // Ages and sizes: 16 CFR 1501 and 1500.19 (small parts and marbles under three, balloons under eight), 16 CFR 1262 (magnets).
  it.each([
    ['pip-die', /under three/],
    ['marbles', /under three/],
    ['balloons', /under eight/],
    ['magnet-rods', /swallowed/],
    ['battery-timer', /Button cells/],
    ['scissors', /Scissors/],
    ['craft-knife', /grown-ups only/],
    ['laminator', /Hot/],
    ['markers', /window/],
    ['glue', /window/],
    ['mirror-tile', /Glass/],
    ['dried-beans', /poisonous/],
  ])('%s says so', (kind, words) => expect(shippedKinds.find((k) => k.id === kind)?.caution).toMatch(words));
  it('calls small what is kept from toddlers', () => {
    for (const k of shippedKinds)
      expect([k.id, k.smallParts]).toEqual([
        k.id,
        (k.hazards ?? []).some((h) => ['small-parts', 'marbles', 'magnets', 'batteries'].includes(h)),
      ]);
  });
  it('stands at the work, too', () => {
    expect(cautionOfWork('cut')).toMatch(/grown-ups only/);
    expect(cautionOfWork('laminate')).toMatch(/Hot/);
    expect(cautionOfWork('colour')).toMatch(/window/);
    expect(cautionOfWork('print')).toBeNull();
  });
  it('reads several once, with who decides at the end', () => {
    const [small, glass] = [cautionOf(['small-parts'])!, cautionOf(['glass'])!];
    const lines = cautionsOnce([small, glass, small]);
    expect(lines).toHaveLength(2);
    expect(lines.join(' ').match(/come first/g)).toHaveLength(1);
    expect(lines[0]).toBe('Small parts: keep away from children under three; count out, count back.');
    expect(lines[1]).toBe(glass);
    expect(cautionsOnce([])).toEqual([]);
  });
});
