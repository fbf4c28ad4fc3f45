import { storyCards } from '../../../mechanisms/story-cards';
import { DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA } from '../../../mechanisms/story-cards/parameters';
import { oneOf, parameters, whole, yesNo } from '../../../play/parameters';
import { below } from '../../../shared/rng';
import { text } from '../../box';
import { boxedParagraph, paragraph } from '../../letters';
import { leastYoungText, sheetKind } from '../../sheetKind';
import { byRule } from '../../teachingDeck';
import { answerOf, giveAways, newStory } from './stories';

const own = parameters({
  teach: yesNo('Backs that teach the game', false),
  count: whole('Stories', 1, 120, 12),
  print: oneOf('Print', ['read-aloud', 'to-read-alone'], 'read-aloud'),
});
const DEFAULTS = { ...own.DEFAULTS, ...FAMILY };
type P = typeof DEFAULTS;
type Made = readonly ReturnType<typeof newStory>[];
const card = { w: 90, h: 62 } as const;
/** What happens in a story, for whoever sorts them. */
const situationWords: Readonly<Record<P['situations'][number], string>> = {
  'add-to': 'something is added',
  'take-from': 'something is taken',
  together: 'parts and their whole',
  compare: 'two are compared',
  groups: 'equal groups',
  'times-as-many': 'so many times as many',
  'two-steps': 'two steps',
  'left-over': 'something is left over',
};
/** Letters of a card that is read aloud, and of one that a child reads. */
const sizes = { 'read-aloud': 16, 'to-read-alone': 18 } as const;
const storyTries = 60;

export default sheetKind<P, Made>({
  id: 'story-cards',
  title: 'Story cards',
  about: 'Every situation and unknown, without words that give the operation away; the answer on the back.',
  group: 'to solve',
  forFamilies: ['story-cards'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...own.SCHEMA.properties, ...FAMILY_SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => storyCards.check(p),
  make: (p, { rng }) => {
    const made: Made[number][] = [];
    for (let i = 0; i < p.count; i++) {
      // All situations in turn, so that none is left out of a small set.
      const situation = p.situations[i % p.situations.length]!;
      const unknown = p.unknowns[Math.floor(i / p.situations.length) % p.unknowns.length]!;
      let story = newStory(situation, unknown, p, rng);
      for (let t = 0; t < storyTries && made.some((m) => m.text === story.text); t++)
        story = newStory(situation, p.unknowns[below(rng, p.unknowns.length)]!, p, rng);
      made.push(story);
    }
    return made;
  },
  verify: (made, p) => {
    const faults: string[] = [];
    made.forEach((s, i) => {
      const right = answerOf(s.situation, s.unknown, s.a, s.b, s.c);
      if (s.answer !== right.answer || s.left !== right.left) faults.push(`Story ${i + 1} does not come out at ${s.answer}.`);
      if (s.answer < 0 || !Number.isInteger(s.answer)) faults.push(`Story ${i + 1} has no whole answer.`);
      if (giveAways.test(s.text)) faults.push(`Story ${i + 1} gives the operation away.`);
      if (['add-to', 'take-from', 'together', 'compare'].includes(s.situation) && Math.max(s.a, s.b, s.c) > p.highest)
        faults.push(`Story ${i + 1} goes above ${p.highest}.`);
      if (paragraph(0, 0, card.w - 16, s.text, sizes[p.print]).height > card.h - 16)
        faults.push(`Story ${i + 1} is too long for its card.`);
    });
    if (new Set(made.map((s) => s.text)).size !== made.length) faults.push('The same story is there twice.');
    return faults;
  },
  checked: (made, p) =>
    `${made.length} stories, all different, each worked out anew; letters of ${Math.max(leastYoungText, sizes[p.print])} points.`,
  teaches: (made, _p, rng) =>
    byRule(
      'pile',
      made.map((s) => situationWords[s.situation]),
      rng,
    ),
  draw: (made, p) => ({
    pieces: [
      {
        ...card,
        count: made.length,
        face: (n, { w, h, large }) => [
          text(4, 3, 12, 5, String(n + 1), 10, { align: 'start', fill: 'soft', frame: true }),
          ...boxedParagraph(8, 8, w - 16, h - 16, made[n]!.text, sizes[p.print] * (large ? 1.4 : 1), 10, { align: 'start' }),
        ],
        back: (n, { w, h }) => [
          text(4, 3, 12, 5, String(n + 1), 10, { align: 'start', fill: 'soft', frame: true }),
          text(
            0,
            h * 0.3,
            w,
            h * 0.4,
            made[n]!.left === undefined ? String(made[n]!.answer) : `${made[n]!.answer}, and ${made[n]!.left}`,
            26,
            { bold: true },
          ),
        ],
      },
    ],
  }),
  key: (made) => made.map((s, i) => `${i + 1}: ${s.answer}${s.left === undefined ? '' : `, and ${s.left} beside`}`),
});
