import { decodeHTML } from 'entities';
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
  /** Skills that expectations were tied to when this app wrote the file. */
  readonly ties: readonly { readonly identifier: string; readonly skill: string; readonly relation: 'same' | 'related' }[];
  readonly remarks: readonly string[];
  /** The package, unwrapped, as it came, without such ties. */
  readonly source: Readonly<Record<string, unknown>>;
}

type Json = Readonly<Record<string, unknown>>;
const uuid = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const isObject = (x: unknown): x is Json => typeof x === 'object' && x !== null && !Array.isArray(x);
const text = (x: unknown): string => (typeof x === 'string' ? x.trim() : '');
/** Tags and entities of a statement, taken out; a bracket that opens no tag stays. Looks at each letter once. */
function plain(statement: string): string {
  let out = '';
  for (let at = 0; at < statement.length;) {
    const open = statement.indexOf('<', at);
    const close = open < 0 ? -1 : statement.indexOf('>', open);
    if (close < 0) {
      out += statement.slice(at);
      break;
    }
    // `3 < 5` is no tag.
    const tag = /[a-z/!]/i.test(statement[open + 1] ?? '');
    out += tag ? `${statement.slice(at, open)} ` : statement.slice(at, open + 1);
    at = tag ? close + 1 : open + 1;
  }
  return decodeHTML(out).replace(/\s+/g, ' ').trim();
}

/** Names of our own skills in associations that this app wrote. */
export const skillUri = 'urn:zeitgeber:skills:';

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
  const ties: { identifier: string; skill: string; relation: 'same' | 'related' }[] = [];
  const foreign = (identifier: string, end: Json): void => {
    const name = text(end['title']) || text(end['uri']);
    const before = external.get(identifier);
    if (before) before.push(name);
    else external.set(identifier, [name]);
  };
  for (const [i, link] of links.entries()) {
    const at = `CFAssociations.${i}`;
    if (!isObject(link)) return refusal('malformed', at, `Association ${i + 1} is no object.`);
    const type = text(link['associationType']);
    const ends = (['originNodeURI', 'destinationNodeURI'] as const).map((key) => (isObject(link[key]) ? link[key] : {}));
    const [from, to] = ends.map((e) => text(e['identifier']).toLowerCase()) as [string, string];
    if (isOwnTie(link)) {
      if (known.has(from))
        ties.push({
          identifier: from,
          skill: text(ends[1]!['uri']).slice(skillUri.length),
          relation: type === 'exactMatchOf' ? 'same' : 'related',
        });
      continue;
    }
    // What comes before or after in another framework stays as it is, as other matches with it do.
    if (!structural.includes(type) || (type === 'precedes' && known.has(from) !== known.has(to))) {
      if (known.has(from) && !known.has(to)) foreign(from, ends[1]!);
      else if (type === 'precedes' && known.has(to)) foreign(to, ends[0]!);
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
    } else if (type === 'precedes') {
      const after = precedes.get(from);
      if (after) after.push(to);
      else precedes.set(from, [to]);
    }
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
  const expectations = inTreeOrder(known, parent, order).map((identifier): Expectation => {
    const { code, statement, band } = known.get(identifier)!;
    return { identifier, code, statement, band, parent: parent.get(identifier) ?? null };
  });
  const licence = isObject(doc['licenseURI']) ? text(doc['licenseURI']['title']) || null : text(doc['licenseURI']) || null;
  return ok({
    id,
    title: text(doc['title']),
    creator: text(doc['creator']),
    licence,
    expectations,
    external,
    ties,
    remarks,
    source: withoutOwnTies(source),
  });
}

function refusal(code: Problem['code'], field: string, message: string): Result<never> {
  return fail({ code, field, message });
}

/** An association that this app added when it wrote the file. */
function isOwnTie(link: unknown): boolean {
  const end = isObject(link) ? link['destinationNodeURI'] : null;
  return isObject(end) && text(end['uri']).startsWith(skillUri);
}

function withoutOwnTies(source: Json): Json {
  const links = source['CFAssociations'];
  return Array.isArray(links) && links.some(isOwnTie) ? { ...source, CFAssociations: links.filter((l) => !isOwnTie(l)) } : source;
}

/** Parents before their children, siblings by sequence number, then as they stand in the file. */
function inTreeOrder(
  known: ReadonlyMap<string, { readonly at: number }>,
  parent: ReadonlyMap<string, string | null>,
  order: ReadonlyMap<string, number>,
): string[] {
  const children = new Map<string | null, string[]>();
  for (const k of known.keys()) {
    const p = parent.get(k) ?? null;
    const own = children.get(p);
    if (own) own.push(k);
    else children.set(p, [k]);
  }
  const rank = (k: string): number => order.get(k) ?? Infinity;
  for (const own of children.values()) own.sort((x, y) => (rank(x) === rank(y) ? known.get(x)!.at - known.get(y)!.at : rank(x) - rank(y)));
  const found: string[] = [];
  const waiting = [...(children.get(null) ?? [])].reverse();
  while (waiting.length > 0) {
    const next = waiting.pop()!;
    found.push(next);
    for (const child of [...(children.get(next) ?? [])].reverse()) waiting.push(child);
  }
  return found;
}

/** Nodes on a circle, or null: depth-first with three colours, on a list of its own, since chains may be long. */
function circleIn(nodes: Iterable<string>, next: (node: string) => readonly string[]): string[] | null {
  const state = new Map<string, 'open' | 'done'>();
  for (const start of nodes) {
    if (state.has(start)) continue;
    const path: { readonly node: string; readonly left: string[] }[] = [{ node: start, left: [...next(start)] }];
    state.set(start, 'open');
    while (path.length > 0) {
      const top = path.at(-1)!;
      const to = top.left.pop();
      if (to === undefined) {
        state.set(top.node, 'done');
        path.pop();
      } else if (state.get(to) === 'open') return path.slice(path.findIndex((p) => p.node === to)).map((p) => p.node);
      else if (!state.has(to)) {
        state.set(to, 'open');
        path.push({ node: to, left: [...next(to)] });
      }
    }
  }
  return null;
}
