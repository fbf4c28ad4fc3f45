import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { mechanismById } from '../mechanisms/registry';
import { exclusionReason } from '../../text/sentences';
import { accommodations, notFor } from './accommodations';
import { knownFrom } from './knownFrom.testing';
import { learnerNeeds } from './learnerNeeds';
import type { Offer } from './offer';
import { offerOf } from './offer.testing';
import { recommend } from './recommend';

const graph = shippedGraph();
const k = graph.indexOf.get('add-in-10')!;
const offer = (game: string, more: Partial<Offer>): Offer =>
  offerOf(`${game}-v`, { 'add-in-10': 12 }, { game, players: [1, 4], ages: [5, 9], minutes: 10, ...more });
const race = offer('race', { mechanism: 'call-and-claim', parameters: { form: 'race' } });
const own = offer('own-clock', { mechanism: 'call-and-claim', parameters: { form: 'own-clock' } });
const cards = offer('cards', { materials: [{ kind: 'playing-cards', quantity: 1 }], helper: 'needed', preparationMinutes: 20 });
const wren = (more: object = {}) => {
  const known = new Float64Array(graph.skills.length).fill(0.9);
  known[k] = 0.5;
  return learnerNeeds(graph, { id: 'wren', nickname: 'Wren', age: 7, framework: 'us', supported: false, ...more }, knownFrom(known));
};
const options = { minutes: 15, limit: 10, stock: null, daysSincePlayed: new Map<string, number>() };
const ranked = (needs: ReturnType<typeof wren>, more: object = {}) =>
  recommend(graph, [race, own, cards], [needs], { ...options, ...more });

describe('what a game must allow for', () => {
  it('names parameters that the rule families have', () => {
    expect(mechanismById('call-and-claim')!.parametersSchema.properties['form']!['enum']).toContain('race');
    expect(mechanismById('edge-tiles')!.parametersSchema.properties).toHaveProperty('turning');
  });
  it('keeps races away until a child welcomes speed, and leaves the own-clock form', () => {
    expect(
      ranked(wren())
        .items.map((s) => s.game)
        .sort(),
    ).toEqual(['cards', 'own-clock']);
    expect(ranked(wren()).excluded).toContainEqual(
      expect.objectContaining({ game: 'race', because: 'gate', gate: { because: 'accommodation', what: 'speed' } }),
    );
    expect(ranked(wren({ accommodations: ['speed-welcome'] })).items.map((s) => s.game)).toContain('race');
  });
  it('goes without playing cards, lies right way up, and asks for no lone reading', () => {
    expect(notFor(cards, ['no-playing-cards'])).toBe('no-playing-cards');
    expect(notFor(offer('tiles', { mechanism: 'edge-tiles', parameters: { turning: true } }), ['right-way-up'])).toBe('right-way-up');
    expect(notFor(offer('tiles', { mechanism: 'edge-tiles', parameters: { turning: false } }), ['right-way-up'])).toBeNull();
    expect(notFor(offer('story', { mechanism: 'story-cards', helper: 'alone' }), ['little-reading'])).toBe('little-reading');
    expect(notFor(offer('story', { mechanism: 'story-cards' }), ['little-reading'])).toBeNull();
  });
  it('asks for no small hands with nobody beside, by the rules or by many small things', () => {
    const easy = ['easy-to-hold'] as const;
    const counters = (quantity: number) => [{ kind: 'two-colour-counters', quantity }];
    expect(notFor(offer('tower', { mechanism: 'stack-or-line-up', helper: 'alone' }), easy)).toBe('easy-to-hold');
    expect(notFor(offer('tower', { mechanism: 'stack-or-line-up', helper: 'nearby' }), easy)).toBeNull();
    expect(notFor(offer('cover', { helper: 'alone', materials: counters(30) }), easy)).toBe('easy-to-hold');
    expect(notFor(offer('cover', { helper: 'alone', materials: counters(4) }), easy)).toBeNull();
    expect(notFor(offer('cover', { helper: 'alone', materials: counters(30) }), [])).toBeNull();
  });
  it('tells nothing apart by colour alone, where the rule can do without it', () => {
    const colour = ['not-by-colour'] as const;
    expect(notFor(offer('spill', { mechanism: 'split-and-spill' }), colour)).toBe('not-by-colour');
    expect(notFor(offer('tiles', { mechanism: 'edge-tiles', parameters: { sameColour: true } }), colour)).toBe('not-by-colour');
    expect(notFor(offer('tiles', { mechanism: 'edge-tiles', parameters: { sameColour: false } }), colour)).toBeNull();
    expect(mechanismById('edge-tiles')!.parametersSchema.properties).toHaveProperty('sameColour');
    expect(notFor(offer('cards', {}), colour)).toBeNull();
  });
  it('says every reason as something to do', () => {
    for (const what of ['speed', ...accommodations.filter((a) => a !== 'speed-welcome')] as const)
      expect(
        exclusionReason(
          graph,
          { game: 'g', because: 'gate', learner: 'wren', gate: { because: 'accommodation', what }, alternative: null },
          { learner: () => 'Wren', game: String, variant: String, kind: String, skill: String },
        ),
      ).toContain('Wren');
  });
  it('puts a game a child asks for first among equals', () => {
    expect(ranked(wren({ likings: ['cards'] })).items[0]!.game).toBe('cards');
    expect(ranked(wren({ likings: ['own-clock'] })).items[0]!.game).toBe('own-clock');
  });
  it('takes the game where practice would do as much, and never gives practice for a treat', () => {
    const wheel = offer('wheel', { mechanism: 'fact-wheel' });
    // A little more practice does not outweigh that it is no game.
    wheel.doses[k] = cards.doses[k]! * 1.03;
    const order = (likings: string[]): string[] => recommend(graph, [wheel, cards], [wren({ likings })], options).items.map((s) => s.game);
    expect(order([])).toEqual(['cards', 'wheel']);
    expect(order(['wheel'])).toEqual(['cards', 'wheel']);
    // What practises clearly more is still taken.
    const more = { ...wheel, doses: wheel.doses.map((d) => d * 2) };
    expect(recommend(graph, [more, { ...cards, doses: cards.doses.map((d) => d / 3) }], [wren()], options).items[0]!.game).toBe('wheel');
  });
  it('filters by helper, getting ready and kinds, and says which', () => {
    expect(ranked(wren(), { filters: { withoutHelper: true } }).excluded).toContainEqual({
      game: 'cards',
      because: 'filter',
      what: 'helper',
    });
    expect(ranked(wren(), { filters: { preparationMinutes: 5 } }).excluded).toContainEqual({
      game: 'cards',
      because: 'filter',
      what: 'preparation',
    });
    expect(ranked(wren(), { filters: { withoutKinds: ['playing-cards'] } }).excluded).toContainEqual({
      game: 'cards',
      because: 'filter',
      what: 'playing-cards',
    });
  });
  it('goes by goals alone where norms do not count', () => {
    const goal = graph.indexOf.get('times-2')!;
    const free = wren({ withoutNorms: true, goals: new Set([goal]) });
    const known = new Float64Array(graph.skills.length).fill(0.5);
    const needs = learnerNeeds(
      graph,
      { id: 'a', nickname: 'a', age: 6, framework: 'us', supported: false, withoutNorms: true, goals: new Set([goal]) },
      knownFrom(known),
    );
    expect(needs.need[goal]!).toBeGreaterThan(3 * needs.need[k]!);
    expect(free.need.every((n) => n >= 0)).toBe(true);
  });
});
