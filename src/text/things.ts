import { drawEffect } from '../core/materials/draws';
import type { Substitute } from '../core/materials/substitutes';

const percent = (share: number): string => (share * 100).toFixed(1);

/** What changes when something stands in for something else. */
export function effectSentence({ effect, numerals }: Pick<Substitute, 'effect' | 'numerals'>): string {
  const spots = numerals ? 'Written numbers in place of spots: seeing how many is not practised.' : '';
  if (effect.sort === 'practice') return effect.say;
  if (effect.sort === 'none') return spots || 'Nothing changes.';
  const changed = drawEffect(effect);
  if (!changed) return `The chances stay as they are. ${spots}`.trim();
  const { sum, doubles } = changed;
  return `Two in a row without putting back: a sum of ${sum.value} ${percent(sum.before)} → ${percent(sum.after)} %, doubles ${percent(doubles.before)} → ${percent(doubles.after)} %. ${spots}`.trim();
}
