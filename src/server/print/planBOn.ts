import type { PlanBWire } from '../../contract/wire/plans';
import type { Country } from '../../core/play/country';
import type { SessionPack } from '../../core/print/pack/sessionPack';
import type { Titles } from '../shared/titles';
import { dayText } from './dayText';

export const sayOf = (lines: readonly { readonly text: string }[] | undefined): string => (lines ?? []).map((s) => s.text).join(' ');

/** Plan B as it stands on the back of the plan; nothing where it could not be worked out. */
export function planBOn(b: PlanBWire | null, title: Titles, dates: Country['dates']): Pick<SessionPack, 'planB' | 'planBMade'> {
  if (!b) return { planB: [], planBMade: '' };
  const texts = (of: { readonly say: readonly { readonly text: string }[] }): string[] => of.say.map((s) => s.text);
  return {
    planBMade: `What changes, with as few seats moved as can be; calculated on ${dayText(b.madeOn, dates)} from the plan as it stood.`,
    planB: [
      ...b.away.map((a) => ({
        when: `${a.learners.map(title.learner).join(' and ')} ${a.learners.length > 1 ? 'are' : 'is'} away`,
        say: texts(a),
      })),
      ...b.without.map((w) => ({ when: `Something of ${w.title} is missing`, say: texts(w) })),
      ...(b.shorter
        ? [
            {
              when: `Ten minutes fewer: ${b.shorter.count} ${b.shorter.count === 1 ? 'round' : 'rounds'} of ${b.shorter.minutes} minutes`,
              say: texts(b.shorter),
            },
          ]
        : []),
    ],
  };
}
