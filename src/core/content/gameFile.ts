import type { PrepStep, UsedUp } from '../materials/gettingReady';
import { materialsText } from './materialsText';
import { stepsText, usesText } from './prepText';
import { parametersText } from './parametersText';
import type { RawTable } from './rawTable';

/** One version as it is written into a file of its game. */
export interface FileVersion {
  readonly id: string;
  readonly title: string;
  readonly ages: readonly [number, number];
  readonly players: { readonly min: number; readonly max: number };
  readonly minutes: number;
  readonly helper: string;
  readonly room: string;
  readonly preparationMinutes: number;
  readonly steps: readonly PrepStep[];
  readonly uses: readonly UsedUp[];
  readonly materials: readonly { readonly kind: string; readonly title: string; readonly quantity: number; readonly unit: string }[];
  /** What is not there, and what stands in for it. */
  readonly standIns: readonly { readonly instead: string; readonly say: string }[];
  readonly mechanism: string | null;
  readonly parameters: Readonly<Record<string, unknown>>;
  /** What it practises: a step, its codes, chances in ten minutes, and how that is known. */
  readonly practises: readonly {
    readonly skill: string;
    readonly title: string;
    readonly codes: readonly string[];
    readonly perTenMinutes: number;
  }[];
  readonly how: 'calculated' | 'declared';
}

export interface FileGame {
  readonly id: string;
  readonly title: string;
  readonly bin: string;
  readonly source: string;
  readonly condition: string;
  readonly notes: string;
  readonly tags: readonly string[];
  readonly rules: readonly string[];
  readonly versions: readonly FileVersion[];
}

type Json = Readonly<Record<string, unknown>>;
const own = 'urn:zeitgeber:';
const property = (name: string, value: unknown): Json => ({ '@type': 'PropertyValue', propertyID: `${own}${name}`, value });

/**
 * A game as JSON-LD in the words of schema.org (Game and LearningResource; names from memory of version 2x): what any reader
 * understands stands in its properties, what only we know stands as property values of our own beside it.
 */
export function writeGameFile(game: FileGame): Json {
  return {
    '@context': 'https://schema.org',
    '@id': `${own}game:${game.id}`,
    '@type': ['Game', 'LearningResource'],
    name: game.title,
    learningResourceType: 'game',
    ...(game.notes ? { description: game.notes } : {}),
    ...(game.tags.length > 0 ? { keywords: game.tags } : {}),
    additionalProperty: [
      property('bin', game.bin),
      property('source', game.source),
      ...(game.condition ? [property('condition', game.condition)] : []),
    ],
    hasPart: [
      ...(game.rules.length > 0
        ? [
            {
              '@type': 'HowTo',
              name: 'How it is played',
              step: game.rules.map((text, i) => ({ '@type': 'HowToStep', position: i + 1, text })),
            },
          ]
        : []),
      ...game.versions.map((v) => ({
        '@id': `${own}version:${v.id}`,
        '@type': ['Game', 'LearningResource'],
        name: v.title,
        numberOfPlayers: { '@type': 'QuantitativeValue', minValue: v.players.min, maxValue: v.players.max },
        typicalAgeRange: `${v.ages[0]}-${v.ages[1]}`,
        timeRequired: `PT${Math.max(1, Math.round(v.minutes))}M`,
        material: v.materials.map((m) => `${m.quantity} x ${m.title}`),
        teaches: v.practises.map((p) => ({ '@type': 'DefinedTerm', termCode: p.skill, name: p.title, inDefinedTermSet: `${own}skills` })),
        educationalAlignment: [...new Set(v.practises.flatMap((p) => p.codes))].map((code) => ({
          '@type': 'AlignmentObject',
          alignmentType: 'educationalSubject',
          targetName: code,
        })),
        additionalProperty: [
          property('helper', v.helper),
          property('room', v.room),
          property('preparationMinutes', v.preparationMinutes),
          ...(v.steps.length > 0 ? [property('steps', stepsText(v.steps))] : []),
          ...(v.uses.length > 0 ? [property('uses', usesText(v.uses))] : []),
          property('materials', materialsText(v.materials)),
          ...(v.standIns.length > 0 ? [property('standIns', standInsText(v.standIns))] : []),
          ...(v.mechanism ? [property('mechanism', v.mechanism), property('parameters', parametersText(v.parameters))] : []),
          property('practises', v.practises.map((p) => `${p.skill} ${Math.max(1, Math.round(p.perTenMinutes))}`).join('; ')),
          property('how', v.how),
        ],
      })),
    ],
  };
}

/** Things that are not there with what stands in, as a list tells them. // => 'dice-tray: The lid of a box.' */
export const standInsText = (standIns: FileVersion['standIns']): string =>
  standIns.map((s) => `${s.instead}: ${s.say.replaceAll(';', ',')}`).join('; ');

const columns = [
  'game',
  'variant',
  'bin',
  'ages',
  'players min',
  'players max',
  'minutes',
  'helper',
  'room',
  'preparation',
  'steps of getting ready',
  'used up',
  'materials',
  'stand-ins',
  'source',
  'condition',
  'notes',
  'tags',
  'rules line by line',
  'mechanism',
  'parameters',
  'practises',
];

/**
 * Games of a JSON-LD file as rows of a list, leniently: a value or several, a graph or one, `2-4` or numbers, `PT15M` or
 * `15 min`, a game with versions of ours or a plain one.
 * @returns null where there is no game in it
 */
export function readGameFile(json: unknown): RawTable | null {
  const found = nodes(json).filter((n) => typesOf(n).includes('Game'));
  const games = found.filter((n) => !found.some((other) => other !== n && listOf(other['hasPart']).includes(n)));
  if (games.length === 0) return null;
  const rows = games.flatMap((g) => {
    const parts = listOf(g['hasPart']).filter(isNode);
    const versions = parts.filter((p) => typesOf(p).includes('Game'));
    const steps = parts.filter((p) => typesOf(p).includes('HowTo')).flatMap((h) => listOf(h['step']));
    const rules = steps.map((s) => (isNode(s) ? textOf(s['text'] ?? s['name']) : textOf(s))).filter(Boolean);
    return (versions.length > 0 ? versions : [g]).map((v) => {
      const props = propertiesOf(v);
      const whole = propertiesOf(g);
      const players = spanOf(v['numberOfPlayers'] ?? g['numberOfPlayers']);
      const calculated = props.get('how') === 'calculated' && (props.get('mechanism') ?? '') !== '';
      return [
        textOf(g['name']),
        v === g ? 'as it comes' : textOf(v['name']) || 'as it comes',
        whole.get('bin') ?? '',
        textOf(v['typicalAgeRange'] ?? g['typicalAgeRange']).replace(/-$/, '+'),
        players[0],
        players[1],
        minutesOf(textOf(v['timeRequired'] ?? g['timeRequired'])),
        props.get('helper') ?? '',
        props.get('room') ?? '',
        props.get('preparationMinutes') ?? '',
        props.get('steps') ?? '',
        props.get('uses') ?? '',
        props.get('materials') ??
          listOf(v['material'] ?? g['material'])
            .map(textOf)
            .join('; '),
        props.get('standIns') ?? '',
        whole.get('source') ?? '',
        whole.get('condition') ?? '',
        [textOf(g['description']), ...(props.has('practises') ? [] : taught(v, g))].filter(Boolean).join('\n'),
        listOf(g['keywords']).map(textOf).join('; '),
        rules.join('\n'),
        props.get('mechanism') ?? '',
        props.get('parameters') ?? '',
        // What can be played anew is calculated anew.
        calculated ? '' : (props.get('practises') ?? ''),
      ];
    });
  });
  return { name: '', remarks: [], rows: [columns, ...rows].map((cells, i) => ({ row: i + 1, cells })) };
}

type Node = Readonly<Record<string, unknown>>;
const isNode = (x: unknown): x is Node => typeof x === 'object' && x !== null && !Array.isArray(x);
const listOf = (x: unknown): unknown[] => (x === undefined || x === null ? [] : Array.isArray(x) ? (x as unknown[]) : [x]);
const typesOf = (n: Node): string[] =>
  listOf(n['@type']).map((t) =>
    String(t)
      .replace(/^https?:\/\/schema\.org\//, '')
      .replace(/^schema:/, ''),
  );

/** Nodes at the top: the thing itself, a list of things, or a graph. */
function nodes(json: unknown): Node[] {
  return listOf(json)
    .filter(isNode)
    .flatMap((n) => ('@graph' in n ? listOf(n['@graph']).filter(isNode) : [n]));
}

function textOf(x: unknown): string {
  if (typeof x === 'string') return x.trim();
  if (typeof x === 'number') return String(x);
  if (Array.isArray(x)) return textOf(x[0]);
  return isNode(x) ? textOf(x['@value'] ?? x['name'] ?? '') : '';
}

const propertiesOf = (n: Node): ReadonlyMap<string, string> =>
  new Map(
    listOf(n['additionalProperty'])
      .filter(isNode)
      .map((p) => [textOf(p['propertyID']).replace(own, ''), textOf(p['value'])] as const),
  );

function spanOf(x: unknown): [string, string] {
  if (isNode(x)) return [textOf(x['minValue'] ?? x['value']), textOf(x['maxValue'] ?? x['value'])];
  const match = /^(\d+)\s*(?:-|to|–)?\s*(\d+)?(\+)?$/.exec(textOf(x));
  return match ? [match[1]! + (match[3] ?? ''), match[2] ?? ''] : ['', ''];
}

/** `PT1H15M`, `PT15M`, `15 min`. */
function minutesOf(text: string): string {
  const iso = /^PT(?:(\d+)H)?(?:(\d+)M)?$/.exec(text);
  return iso && (iso[1] ?? iso[2]) !== undefined ? String(Number(iso[1] ?? 0) * 60 + Number(iso[2] ?? 0)) : text;
}

/** What a plain file says that it teaches, as words for the notes, where it is read from. */
const taught = (v: Node, g: Node): string[] => {
  const terms = [...listOf(v['teaches']), ...(v === g ? [] : listOf(g['teaches'])), ...listOf(g['educationalAlignment'])];
  const words = terms.map((t) =>
    isNode(t) ? [textOf(t['termCode'] ?? t['targetName']), textOf(t['name'])].filter(Boolean).join(' ') : textOf(t),
  );
  return words.length > 0 ? [`Teaches: ${[...new Set(words)].join('; ')}`] : [];
};
