import { tooManyLines } from '../play/howTo';
import type { MaterialKind } from '../materials/kind';
import type { Problem, Result } from '../shared/codes';
import type { PrepStep, UsedUp } from '../materials/gettingReady';
import { type PrepRead, readSteps, readUses } from './prepText';
import { inPacks } from './materialsText';
import { nameKey, shortened, tidyTags } from './names';
import {
  type NamedQuantity,
  oldestAge,
  plainWords,
  readAges,
  readMaterial,
  readMinutes,
  readParameters,
  readSpan,
  slugOf,
  tidyTitle,
} from './cells';
import {
  isOwnPieces,
  dateAsRange,
  isBareCount,
  isTotal,
  mostPacks,
  readGrades,
  readMinutesLoosely,
  readPlayersLoosely,
  saysNothing,
  tellsMore,
  thingsIn,
  withoutRemark,
} from './lenient';

export interface CsvRow {
  /** Line in the file, the header being 1. */
  readonly row: number;
  readonly cells: Readonly<Record<string, string>>;
}

export interface VariantDraft {
  readonly row: number;
  readonly game: string;
  readonly variant: string;
  readonly bin: string;
  readonly ages: readonly [number, number];
  readonly players: readonly [number, number];
  readonly minutes: number;
  readonly helper: 'alone' | 'nearby' | 'needed';
  readonly room: 'calm' | 'lively' | 'floor';
  readonly preparationMinutes: number;
  readonly steps: readonly PrepStep[];
  readonly uses: readonly UsedUp[];
  /** A line each; empty where the file tells none. */
  readonly rules: readonly string[];
  readonly materials: readonly { readonly kind: string; readonly quantity: number }[];
  /** Things that were not there where the list was written, and something stood in for. */
  readonly stoodInFor: readonly string[];
  readonly source: 'made' | 'bought' | 'free';
  readonly condition: string;
  readonly notes: string;
  readonly tags: readonly string[];
  readonly mechanism: string | null;
  readonly parameters: Readonly<Record<string, unknown>>;
  readonly declared: readonly { readonly skill: string; readonly perTenMinutes: number }[];
}

export interface CatalogueReading {
  readonly drafts: readonly VariantDraft[];
  readonly problems: readonly Problem[];
  /** Things taken in a certain way that the owner should know. */
  readonly remarks: readonly { readonly row: number; readonly message: string }[];
  readonly proposedKinds: readonly { readonly id: string; readonly title: string; readonly rows: readonly number[] }[];
}

export interface CatalogueContext {
  readonly kinds: readonly MaterialKind[];
  readonly skills: readonly { readonly id: string; readonly title: string }[];
  readonly checkParameters: (mechanism: string, parameters: object) => Result<object>;
  readonly seatsOf: (mechanism: string) => { readonly min: number; readonly max: number } | null;
  /** Why a version cannot be played with the kinds of thing listed; null when it can. */
  readonly thingsProblem?: (mechanism: string, parameters: object, kinds: readonly string[]) => string | null;
  /** Columns of the file that are none of ours, as they are headed; what they say is kept in the notes. */
  readonly unread?: readonly string[];
}

const sources: ReadonlyMap<string, VariantDraft['source']> = new Map(
  Object.entries({
    made: 'made',
    'home made': 'made',
    homemade: 'made',
    'hand made': 'made',
    handmade: 'made',
    bought: 'bought',
    shop: 'bought',
    free: 'free',
    printed: 'free',
    'free print': 'free',
  } as const),
);
const mostPlayers = 12;
const longestTag = 40;
const mostTags = 20;

/** Reads a catalogue row by row; a row with a fault gives problems and no draft. */
export function readCatalogue(rows: readonly CsvRow[], context: CatalogueContext): CatalogueReading {
  const problems: Problem[] = [];
  const remarks: { row: number; message: string }[] = [];
  const proposed = new Map<string, { id: string; title: string; rows: number[] }>();
  const drafts: VariantDraft[] = [];
  const seen = new Map<string, { row: number; spelt: string }>();
  const words = wordsKnown(context);
  for (const row of rows) {
    if (isTotal(row.cells['game'] ?? '') || isBareCount(row.cells)) {
      remarks.push({ row: row.row, message: 'This line adds up the others; it is no game and was left out.' });
      continue;
    }
    const reader = new RowReader(row, context, words, problems, remarks, proposed);
    const draft = reader.read();
    if (!draft) continue;
    const key = `${nameKey(draft.game)}|${nameKey(draft.variant)}`;
    const earlier = seen.get(key);
    if (earlier !== undefined) {
      const spelt = `${draft.game}, ${draft.variant}`;
      if (spelt.toLowerCase() === earlier.spelt.toLowerCase())
        remarks.push({ row: row.row, message: `The same game and version as row ${earlier.row}; taken once.` });
      else
        problems.push({
          code: 'duplicate',
          field: 'game',
          row: row.row,
          message: `Row ${row.row}, game: “${spelt}” differs from “${earlier.spelt}” in row ${earlier.row} by signs only. Give one of them another name.`,
        });
      continue;
    }
    seen.set(key, { row: row.row, spelt: `${draft.game}, ${draft.variant}` });
    drafts.push(draft);
  }
  return { drafts, problems, remarks: together(remarks), proposedKinds: [...proposed.values()] };
}

/** What would be said more often than this is said once, with how often. */
const mostAlike = 3;

function together(remarks: readonly { readonly row: number; readonly message: string }[]): { row: number; message: string }[] {
  const times = new Map<string, number>();
  for (const { message } of remarks) times.set(message, (times.get(message) ?? 0) + 1);
  const said = new Set<string>();
  return remarks.flatMap(({ row, message }) => {
    const n = times.get(message)!;
    if (n <= mostAlike) return [{ row, message }];
    if (said.has(message)) return [];
    said.add(message);
    return [{ row, message: `${message} (so in ${n} rows)` }];
  });
}

/** Kinds and skills by the words people use for them, looked up once for the whole file. */
interface Words {
  readonly kinds: ReadonlyMap<string, string>;
  readonly skills: ReadonlyMap<string, string>;
  readonly ids: Set<string>;
}

function wordsKnown({ kinds, skills }: CatalogueContext): Words {
  const first = (pairs: readonly (readonly [string, string])[]): Map<string, string> =>
    new Map([...pairs].reverse().map(([text, id]) => [plainWords(text), id]));
  return {
    kinds: first(kinds.flatMap((k) => [k.id, k.title, ...k.alsoCalled].map((text) => [text, k.id] as const))),
    skills: first(skills.flatMap((s) => [s.id, s.title].map((text) => [text, s.id] as const))),
    ids: new Set(kinds.map((k) => k.id)),
  };
}

class RowReader {
  private faults = 0;
  /** What it practises in words that name no step of ours. */
  private readonly inWords: string[] = [];

  constructor(
    private readonly row: CsvRow,
    private readonly context: CatalogueContext,
    private readonly words: Words,
    private readonly problems: Problem[],
    private readonly remarks: { row: number; message: string }[],
    private readonly proposed: Map<string, { id: string; title: string; rows: number[] }>,
  ) {}

  read(): VariantDraft | null {
    const game = tidyTitle(this.cell('game'));
    if (game === '') this.fault('game', 'malformed', 'The game has no name.');
    const variant = this.cell('variant') || 'as it comes';
    const mechanism = this.mechanism();
    const parameters = this.parameters(mechanism);
    const declared = this.declared();
    const unread = this.context.unread?.flatMap((h) => (this.cell(h) === '' ? [] : [`${h}: ${this.cell(h)}`])) ?? [];
    const draft: VariantDraft = {
      row: this.row.row,
      game,
      variant,
      bin: this.cell('bin') || 'Unsorted',
      ages: this.ages(),
      players: this.players(mechanism),
      minutes: this.minutes(),
      helper: this.oneOf('helper', helpers, 'nearby'),
      room: this.oneOf('room', rooms, 'calm'),
      preparationMinutes: this.preparation(),
      steps: this.parts('steps of getting ready', readSteps),
      uses: this.parts('used up', readUses),
      rules: this.rules(),
      materials: this.materials(),
      stoodInFor: this.stoodInFor(),
      source: this.source(),
      condition: this.cell('condition'),
      notes: [this.cell('notes'), ...unread, ...(this.inWords.length > 0 ? [`Practises: ${this.inWords.join('; ')}`] : [])]
        .filter(Boolean)
        .join('\n'),
      tags: this.tags(),
      mechanism,
      parameters,
      declared,
    };
    const cannot =
      mechanism &&
      this.faults === 0 &&
      this.context.thingsProblem?.(
        mechanism,
        parameters,
        draft.materials.map((m) => m.kind),
      );
    if (cannot) this.fault('materials', 'impossible-parameters', cannot);
    return this.faults === 0 ? draft : null;
  }

  private cell(name: string): string {
    return (this.row.cells[name] ?? '').trim();
  }

  /** A cell of a range, as it was typed before a spreadsheet turned it into a day. */
  private asTyped(name: string): string {
    const range = dateAsRange(this.cell(name));
    if (range === null) return this.cell(name);
    this.remarks.push({
      row: this.row.row,
      message: shortened(`${name}: “${this.cell(name)}” is a range that was turned into a day; read as ${range}.`),
    });
    return range;
  }

  private rules(): string[] {
    const lines = this.cell('rules')
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
    const problem = tooManyLines(lines);
    if (problem) this.fault('rules', 'too-large', problem);
    return lines;
  }

  private fault(field: string, code: Problem['code'], message: string): void {
    this.faults++;
    this.problems.push({ code, field, row: this.row.row, message: shortened(`Row ${this.row.row}, ${field}: ${message}`) });
  }

  private ages(): [number, number] {
    const text = this.asTyped('ages');
    const grade = this.asTyped('grade');
    if (text === '' && grade !== '') return this.agesOfGrade(grade);
    if (text === '') return [4, oldestAge];
    if (saysNothing(text)) return this.guessed('ages', text, `taken as 4 to ${oldestAge}`, [4, oldestAge]);
    const ages = readAges(text);
    if (!ages) this.fault('ages', 'malformed', `"${text}" is not an age. Write 6-8, 6+ or K-2.`);
    else if (ages[0] > ages[1]) this.fault('ages', 'out-of-range', `"${text}" runs backwards.`);
    else if (ages[0] < 2 || ages[1] > 18) this.fault('ages', 'out-of-range', `"${text}" lies outside 2 to 18 years.`);
    return ages ?? [4, oldestAge];
  }

  private agesOfGrade(text: string): [number, number] {
    if (saysNothing(text)) return this.guessed('grade', text, `taken as 4 to ${oldestAge}`, [4, oldestAge]);
    const ages = readGrades(text, oldestAge);
    if (!ages) this.fault('grade', 'malformed', `"${text}" is not a grade. Write K-2, 3 or Year 4.`);
    else if (ages[0] >= ages[1]) this.fault('grade', 'out-of-range', `"${text}" runs backwards.`);
    return ages ?? [4, oldestAge];
  }

  /** What is written loosely is taken as it is likely meant, and told. */
  private guessed<T>(field: string, text: string, guess: string | null, value: T): T {
    if (guess !== null) this.remarks.push({ row: this.row.row, message: shortened(`${field}: “${text}” is ${guess}.`) });
    return value;
  }

  private players(mechanism: string | null): [number, number] {
    const seats = mechanism ? this.context.seatsOf(mechanism) : null;
    const usual: [number, number] = seats ? [Math.max(2, seats.min), Math.min(4, seats.max)] : [2, 4];
    const text = this.asTyped('players');
    const minText = this.cell('players min');
    const maxText = this.cell('players max');
    let players: [number, number] | null = usual;
    let field = 'players';
    if (text !== '') {
      players = readSpan(text, mostPlayers);
      const loose = players ? null : readPlayersLoosely(text, usual);
      if (loose) players = this.guessed('players', text, loose.guess, loose.value);
    } else if (minText !== '' || maxText !== '') {
      // One column may hold both ends, as in "2-4".
      field = 'players min';
      const low = minText === '' ? [usual[0], usual[0]] : readSpan(minText, mostPlayers);
      const high = maxText === '' ? null : readSpan(maxText, mostPlayers);
      if (maxText !== '' && !high) field = 'players max';
      players =
        low && (maxText === '' || high)
          ? [low[0]!, high ? high[1]! : minText.includes('+') || low[1]! > low[0]! ? low[1]! : Math.max(low[0]!, usual[1])]
          : null;
    }
    if (!players) {
      this.fault(field, 'malformed', `"${this.cell(field) || text}" is not a number of players. Write 2-4 or 3.`);
      return usual;
    }
    if (players[0] < 1 || players.some((n) => !Number.isInteger(n)))
      this.fault(text ? 'players' : 'players min', 'out-of-range', `${players[0]} players cannot sit down.`);
    else if (players[1] < players[0])
      this.fault(text ? 'players' : 'players max', 'out-of-range', `At most ${players[1]} players is fewer than at least ${players[0]}.`);
    else if (players[1] > 30) this.fault(text ? 'players' : 'players max', 'out-of-range', `${players[1]} is more than 30 players.`);
    if (seats && this.faults === 0 && (players[0] > seats.max || players[1] < seats.min))
      this.fault('players min', 'out-of-range', `This way of playing seats ${seats.min} to ${seats.max}.`);
    return players;
  }

  private minutes(): number {
    const text = this.asTyped('minutes');
    if (text === '') return usualMinutes;
    let minutes = readMinutes(text);
    const loose = minutes === null ? readMinutesLoosely(text, usualMinutes) : null;
    if (loose) minutes = this.guessed('minutes', text, loose.guess, loose.value);
    if (minutes === null) this.fault('minutes', 'malformed', `"${text}" is not a time. Write 15 or 15 min.`);
    else if (minutes <= 0 || minutes > 240) this.fault('minutes', 'out-of-range', `${minutes} minutes lies outside 1 to 240.`);
    return minutes ?? usualMinutes;
  }

  /** Words for one of a few things; what is none of them is told and taken as usual. */
  private oneOf<T extends string>(name: string, words: ReadonlyMap<string, T>, usual: T): T {
    const text = this.cell(name);
    if (text === '') return usual;
    return words.get(plainWords(text)) ?? this.guessed(name, text, `taken as ${usual}`, usual);
  }

  /** Words between commas or semicolons; a sentence is cut off where a tag ends. */
  private tags(): string[] {
    const words = tidyTags(this.cell('tags').split(/[;,\n]/));
    const long = words.filter((w) => w.length > longestTag);
    for (const w of long)
      this.remarks.push({ row: this.row.row, message: shortened(`tags: “${w}” is longer than a tag and was left out.`) });
    return words.filter((w) => w.length <= longestTag).slice(0, mostTags);
  }

  private parts<T>(name: string, read: (text: string) => PrepRead<T>): readonly T[] {
    const found = read(this.cell(name));
    for (const p of found.unread)
      this.remarks.push({ row: this.row.row, message: shortened(`${name}: “${p}” could not be read and was left out.`) });
    return found.read.slice(0, mostTags);
  }

  private preparation(): number {
    const text = this.asTyped('preparation');
    if (text === '') return 0;
    const minutes = readMinutes(text);
    if (minutes !== null && minutes >= 0 && minutes <= 1000) return minutes;
    return this.guessed('preparation', text, 'taken as none', 0);
  }

  private materials(): VariantDraft['materials'] {
    const wanted = new Map<string, number>();
    const parts = thingsIn(this.cell('materials'));
    for (const [i, whole] of parts.entries()) {
      // More of the thing before it, after a comma.
      if (i > 0 && tellsMore(whole)) continue;
      // A number alone counts what nobody named.
      if (/^\d+$/.test(whole)) {
        this.remarks.push({ row: this.row.row, message: `materials: “${whole}” names no thing; left out.` });
        continue;
      }
      const part = withoutRemark(whole);
      if (part === '') continue;
      const read = readMaterial(part);
      const packs = read && this.packsOf(read);
      if (packs) {
        wanted.set(packs, (wanted.get(packs) ?? 0) + read.quantity);
        continue;
      }
      const set = read && this.setOf(read);
      if (set) {
        this.remarks.push({ row: this.row.row, message: shortened(`“${part}” is taken as one ${set.unit}.`) });
        wanted.set(set.id, (wanted.get(set.id) ?? 0) + 1);
        continue;
      }
      if (read && this.isOwn(read)) {
        this.remarks.push({
          row: this.row.row,
          message: shortened(`“${part}” belongs to the game itself; it is not counted among the things.`),
        });
        continue;
      }
      if (!read) {
        this.fault('materials', 'bad-quantity', `"${part.trim()}" has no quantity that can be counted out. Write 2 dice or dice x2.`);
        continue;
      }
      const kind = this.kindOf(read.name);
      wanted.set(kind, (wanted.get(kind) ?? 0) + read.quantity);
    }
    return [...wanted].map(([kind, quantity]) => ({ kind, quantity }));
  }

  /** `dice-tray: the lid of a box`: what stands before the colon was not there. */
  private stoodInFor(): readonly string[] {
    return this.cell('stand-ins')
      .split(/[;\n]/)
      .flatMap((part) => this.knownKind(part.split(':')[0]!.trim()) ?? []);
  }

  /** Written as its id, a kind is that one and no other that is called so, too. */
  private knownKind(name: string): string | undefined {
    return this.context.kinds.some((k) => k.id === name) ? name : this.words.kinds.get(plainWords(name));
  }

  /** So many packs of a kind that is kept by the pack, said in so many words: `2 decks of playing cards`. */
  private packsOf({ name }: NamedQuantity): string | null {
    const [, unit, what] = /^(pack|deck|set)s? of (.+)$/.exec(name) ?? [];
    const known = what === undefined ? undefined : this.knownKind(what);
    return known !== undefined && this.context.kinds.some((k) => k.id === known && k.unit === unit) ? known : null;
  }

  /** So many cards of a kind that is kept by the set: one set of them. */
  private setOf({ name, quantity }: NamedQuantity): MaterialKind | null {
    const known = this.knownKind(name);
    const kind = known === undefined ? undefined : this.context.kinds.find((k) => k.id === known);
    return kind && quantity > mostPacks && inPacks.has(kind.unit) && plainWords(name) !== 'card' ? kind : null;
  }

  /** More packs than anybody lays on a table are the game's own cards. */
  private isOwn({ name, quantity }: NamedQuantity): boolean {
    const known = this.knownKind(name);
    const kind = known === undefined ? undefined : this.context.kinds.find((k) => k.id === known);
    return kind ? quantity > mostPacks && inPacks.has(kind.unit) : isOwnPieces(name, quantity);
  }

  private kindOf(name: string): string {
    const known = this.knownKind(name);
    if (known) return known;
    const words = plainWords(name);
    const before = this.proposed.get(words);
    if (before) {
      if (before.rows.at(-1) !== this.row.row) before.rows.push(this.row.row);
      return before.id;
    }
    // Names in other scripts may share what is left of them in an id.
    const base = slugOf(words);
    let id = base;
    for (let n = 2; this.words.ids.has(id); n++) id = `${base}-${n}`;
    this.words.ids.add(id);
    this.proposed.set(words, { id, title: tidyTitle(name), rows: [this.row.row] });
    return id;
  }

  private source(): VariantDraft['source'] {
    const text = this.cell('source');
    if (text === '') {
      this.remarks.push({ row: this.row.row, message: 'No source given; taken as bought.' });
      return 'bought';
    }
    const source = sources.get(plainWords(text));
    if (!source) this.fault('source', 'unknown-value', `"${text}" is not a source. Write made, bought or free.`);
    return source ?? 'bought';
  }

  private mechanism(): string | null {
    const text = this.cell('mechanism');
    if (text === '') return null;
    const id = slugOf(text);
    if (this.context.seatsOf(id)) return id;
    this.fault('mechanism', 'unknown-mechanism', `"${text}" is not a way of playing that is known here.`);
    return null;
  }

  private parameters(mechanism: string | null): Record<string, unknown> {
    const text = this.cell('parameters');
    if (text === '' && mechanism === null) return {};
    const parameters = readParameters(text);
    if (!parameters) {
      this.fault('parameters', 'malformed', `"${text}" is not a list like high=50; direction=down.`);
      return {};
    }
    if (mechanism === null) {
      if (this.cell('mechanism') === '') this.fault('parameters', 'malformed', 'Parameters need a mechanism beside them.');
      return {};
    }
    const checked = this.context.checkParameters(mechanism, parameters);
    if (!checked.ok) this.fault('parameters', checked.problem.code, checked.problem.message);
    return parameters;
  }

  private declared(): VariantDraft['declared'] {
    return this.cell('practises')
      .split(/[;\n]/)
      .flatMap((part) => {
        const text = part.trim();
        if (text === '') return [];
        const whole = this.words.skills.get(plainWords(text));
        if (whole) return [{ skill: whole, perTenMinutes: declaredDose }];
        // `make ten 12`, `make ten (12)`
        const words = text.split(/\s+/);
        const dose = /^\(?(\d{1,3})\)?$/.exec(words.at(-1)!);
        const skill = dose ? this.words.skills.get(plainWords(words.slice(0, -1).join(' '))) : undefined;
        if (skill) return [{ skill, perTenMinutes: Number(dose![1]) }];
        this.inWords.push(text);
        this.remarks.push({
          row: this.row.row,
          message: shortened(`practises: “${text}” is no step by that name; it is kept in the notes and read from there.`),
        });
        return [];
      });
  }
}

const helpers: ReadonlyMap<string, VariantDraft['helper']> = new Map(
  Object.entries({
    alone: 'alone',
    'run alone': 'alone',
    none: 'alone',
    no: 'alone',
    nearby: 'nearby',
    'adult nearby': 'nearby',
    needed: 'needed',
    'adult needed': 'needed',
    yes: 'needed',
  } as const),
);
const rooms: ReadonlyMap<string, VariantDraft['room']> = new Map(
  Object.entries({ calm: 'calm', quiet: 'calm', lively: 'lively', loud: 'lively', floor: 'floor', 'on the floor': 'floor' } as const),
);
const usualMinutes = 15;

/** Chances in ten minutes that a declared skill stands for when no number is given. */
const declaredDose = 10;
