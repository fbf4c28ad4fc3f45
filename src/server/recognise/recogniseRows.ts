import { numbersIn, recognise, twinOf } from '../../contract/recognise';
import { type recogniseWire } from '../../contract/wire/recognise';
import type { Answer, Body, Kept } from '../../contract/wire/route';
import { readGrades } from '../../core/content/lenient';
import { oldestAge } from '../../core/content/cells';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Recognition, RowWords } from '../../core/recognise/recognise';
import { familySpeaksFrom } from '../../core/recognise/cautiousDoses';
import { asItComes, rowWords } from './rowWords';

type Rows = Body<(typeof recogniseWire)['POST /recognise']>['rows'];
type Told = Kept<Answer<(typeof recogniseWire)['POST /recognise']>>;

/** Less likely than this a family is not told. */
const leastTold = 0.01;

/**
 * Which families rows of words speak of, without a shelf: a chance each, and the words that decided. `family` is the first guess where
 * it speaks clearly enough, else null; the shipped version nearest to it goes along.
 */
export function recogniseRows(rows: Rows): Told {
  const items = rows.map((row): Told['items'][number] => {
    const words = rowWords({
      game: row.title,
      variant: asItComes,
      notes: [row.note, row.text, row.skills].filter(Boolean).join('\n'),
      rules: [],
      things: row.materials ? [row.materials] : [],
    });
    const found = recognise(words);
    const guesses = found.guesses
      .filter((g) => g.chance >= leastTold)
      .map((g) => ({ mechanism: g.mechanism, chance: g.chance, because: becauseOf(words, g) }));
    const first = guesses[0];
    const sure = first?.chance ?? 0;
    const family = first && sure >= familySpeaksFrom ? first.mechanism : null;
    const parameters = family ? numbersIn(family, words) : {};
    const twin = family ? twinOf(family, parameters, row.grade ? readGrades(row.grade, oldestAge) : null) : null;
    return {
      title: row.title,
      guesses,
      sure,
      family,
      variant: twin && twin.differs.length === 0 ? `${twin.game}/${twin.version}` : null,
      parameters: { ...parameters },
      others: guesses.slice(family ? 1 : 0).map((g) => ({ family: g.mechanism, sure: g.chance })),
      why: first?.because ?? 'No words of it are known of any family.',
    };
  });
  return { items, total: items.length };
}

/** The words of the row that decided, in a sentence. */
function becauseOf(row: RowWords, { mechanism, decided }: Recognition['guesses'][number]): string {
  const fields = [row.title, ...row.notes, row.things];
  const said = [...new Set(decided.map((d) => fields[d.field]?.slice(d.from, d.to).trim() ?? '').filter(Boolean))];
  const title = mechanismById(mechanism)!.title;
  return said.length === 0 ? `Nothing speaks against ${title}.` : `${said.map((w) => `“${w}”`).join(', ')}: ${title}.`;
}
