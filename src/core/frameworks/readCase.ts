import { fail, ok, type Problem, type Result } from '../shared/codes';

/** One expectation of a framework, as far as this app reads it. */
export interface Expectation {
  readonly identifier: string;
  readonly code: string;
  readonly statement: string;
  /** Education level as it stands in the file (`KG`, `01` …), the first when there are several. */
  readonly band: string | null;
  /** Identifier of the expectation it is part of; null at the top. */
  readonly parent: string | null;
}

export interface FrameworkReading {
  readonly id: string;
  readonly title: string;
  readonly creator: string;
  readonly licence: string | null;
  readonly expectations: readonly Expectation[];
  /** Codes or URIs of other frameworks that an expectation is said to match, by identifier. */
  readonly external: ReadonlyMap<string, readonly string[]>;
  readonly remarks: readonly string[];
  /** The package, unwrapped, as it came. */
  readonly source: Readonly<Record<string, unknown>>;
}

type Json = Readonly<Record<string, unknown>>;
const uuid = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const isObject = (x: unknown): x is Json => typeof x === 'object' && x !== null && !Array.isArray(x);
const text = (x: unknown): string => (typeof x === 'string' ? x.trim() : '');
/** Tags and entities of a statement, taken out. */
const plain = (s: string): string =>
  s
    .replace(/<[^>]*>/g, ' ')
    .replace(/&nbsp;/g, ' ')
    .replace(/&amp;/g, '&')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/\s+/g, ' ')
    .trim();

/** Associations that build the framework itself: both ends must be in the file. */
const structural = ['isChildOf', 'precedes', 'isPartOf'];

/**
 * Reads a CASE 1.0 package (1EdTech, Competencies and Academic Standards Exchange):
 * leniently in what is decoration, strictly in what holds it together. Matches with other
 * frameworks stay as they are; a broken `isChildOf` or `precedes` is refused by name.
 */
export function readCase(raw: unknown): Result<FrameworkReading> {
  const source = Array.isArray(raw) && raw.length === 1 ? (raw[0] as unknown) : raw;
  if (!isObject(source)) return refusal('malformed', 'CFPackage', 'This is no CASE package: an object with "CFDocument" is expected.');
  const doc = source['CFDocument'];
  if (!isObject(doc)) return refusal('malformed', 'CFDocument', 'The package has no "CFDocument".');
  for (const field of ['identifier', 'title', 'creator'])
    if (text(doc[field]) === '') return refusal('malformed', `CFDocument.${field}`, `CFDocument has no "${field}".`);
  if (!uuid.test(text(doc['identifier']))) return refusal('malformed', 'CFDocument.identifier', `"${text(doc['identifier'])}" is no UUID.`);
  const id = text(doc['identifier']).toLowerCase();
  const items = Array.isArray(source['CFItems']) ? (source['CFItems'] as unknown[]) : [];
  const links = Array.isArray(source['CFAssociations']) ? (source['CFAssociations'] as unknown[]) : [];
  const remarks: string[] = [];
  const known = new Map<string, { code: string; statement: string; band: string | null; at: number }>();
  for (const [i, item] of items.entries()) {
    const at = `CFItems.${i}`;
    if (!isObject(item)) return refusal('malformed', at, `Item ${i + 1} is no object.`);
    const identifier = text(item['identifier']).toLowerCase();
    if (!uuid.test(identifier)) return refusal('malformed', `${at}.identifier`, `Item ${i + 1}: "${text(item['identifier'])}" is no UUID.`);
    if (known.has(identifier))
      return refusal('duplicate', `${at}.identifier`, `Item ${i + 1}: the identifier ${identifier} is there twice.`);
    const statement = plain(text(item['fullStatement']));
    if (statement === '') return refusal('malformed', `${at}.fullStatement`, `Item ${i + 1} (${identifier}) has no "fullStatement".`);
    const level = Array.isArray(item['educationLevel']) ? text((item['educationLevel'] as unknown[])[0]) : text(item['educationLevel']);
    known.set(identifier, {
      code: text(item['humanCodingScheme']) || identifier.slice(0, 8),
      statement,
      band: level === '' ? null : level,
      at: i,
    });
  }
  const parent = new Map<string, string | null>();
  const order = new Map<string, number>();
  const precedes = new Map<string, string[]>();
  const external = new Map<string, string[]>();
  for (const [i, link] of links.entries()) {
    const at = `CFAssociations.${i}`;
    if (!isObject(link)) return refusal('malformed', at, `Association ${i + 1} is no object.`);
    const type = text(link['associationType']);
    const ends = (['originNodeURI', 'destinationNodeURI'] as const).map((key) => (isObject(link[key]) ? link[key] : {}));
    const [from, to] = ends.map((e) => text(e['identifier']).toLowerCase()) as [string, string];
    if (!structural.includes(type)) {
      if (known.has(from) && !known.has(to))
        external.set(from, [...(external.get(from) ?? []), text(ends[1]!['title']) || text(ends[1]!['uri'])]);
      continue;
    }
    if (!known.has(from))
      return refusal(
        'dangling',
        `${at}.originNodeURI`,
        `Association ${i + 1} (${type}) begins at ${from || 'nothing'}, which is not in the file.`,
      );
    if (!known.has(to) && to !== id)
      return refusal(
        'dangling',
        `${at}.destinationNodeURI`,
        `Association ${i + 1} (${type}) leads to ${to || 'nothing'}, which is not in the file.`,
      );
    if (type === 'isChildOf') {
      if (parent.has(from)) remarks.push(`${known.get(from)!.code} has several parents; the first is kept.`);
      else {
        parent.set(from, to === id ? null : to);
        order.set(from, typeof link['sequenceNumber'] === 'number' ? (link['sequenceNumber'] as number) : Infinity);
      }
    } else if (type === 'precedes') precedes.set(from, [...(precedes.get(from) ?? []), to]);
  }
  const circle = circleIn(known.keys(), (k) => [parent.get(k) ?? []].flat()) ?? circleIn(known.keys(), (k) => precedes.get(k) ?? []);
  if (circle)
    return refusal(
      'cycle',
      'CFAssociations',
      `These expectations lead to one another in a circle: ${circle.map((k) => known.get(k)!.code).join(', ')}.`,
    );
  const orphans = [...known.keys()].filter((k) => !parent.has(k));
  if (orphans.length > 0)
    remarks.push(
      `${orphans.length} ${orphans.length === 1 ? 'expectation stands' : 'expectations stand'} under nothing; ${orphans.length === 1 ? 'it is' : 'they are'} put at the top.`,
    );
  const expectations = [...known]
    .sort(([x, a], [y, b]) => (order.get(x) ?? Infinity) - (order.get(y) ?? Infinity) || a.at - b.at || (x < y ? -1 : 1))
    .map(([identifier, { code, statement, band }]): Expectation => ({
      identifier,
      code,
      statement,
      band,
      parent: parent.get(identifier) ?? null,
    }));
  const licence = isObject(doc['licenseURI']) ? text(doc['licenseURI']['title']) || null : text(doc['licenseURI']) || null;
  return ok({ id, title: text(doc['title']), creator: text(doc['creator']), licence, expectations, external, remarks, source });
}

function refusal(code: Problem['code'], field: string, message: string): Result<never> {
  return fail({ code, field, message });
}

/** Nodes on a circle, or null; depth-first with three colours. */
function circleIn(nodes: Iterable<string>, next: (node: string) => readonly string[]): string[] | null {
  const state = new Map<string, 'open' | 'done'>();
  const path: string[] = [];
  const visit = (node: string): string[] | null => {
    if (state.get(node) === 'done') return null;
    if (state.get(node) === 'open') return path.slice(path.indexOf(node));
    state.set(node, 'open');
    path.push(node);
    for (const n of next(node)) {
      const found = visit(n);
      if (found) return found;
    }
    path.pop();
    state.set(node, 'done');
    return null;
  };
  for (const node of nodes) {
    const found = visit(node);
    if (found) return found;
  }
  return null;
}
