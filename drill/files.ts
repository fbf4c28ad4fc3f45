import { readFileSync } from 'node:fs';
import { judge } from './badRequests';
import { Dice } from './dice';
import { Program, Score, today, Watch } from './program';
import { furnish } from './world';

const importers = [
  { path: '/imports/shelf', file: 'examples/shelf.csv' },
  { path: '/imports/roster', file: 'examples/roster.csv' },
  { path: '/imports/evidence', file: 'examples/notes.csv' },
  { path: '/imports/evidence', file: 'examples/statements.json' },
  { path: '/imports/framework', file: 'examples/framework.case.json', text: true },
] as const;

/** Files as they get broken on the way: bytes turned, cut, doubled, another code page, quotation marks, numbers far out. */
export async function drillFiles(seed: number, most: number): Promise<Score> {
  const score = new Score('broken files over every importer');
  const program = new Program();
  await program.start();
  await furnish(program);
  const watch = new Watch(program.readBeside());
  const dice = new Dice(seed, 3);
  for (let i = 0; i < most; i++) {
    const importer = importers[i % importers.length]!;
    let bytes: Buffer = readFileSync(importer.file);
    const times = 1 + dice.below(4);
    for (let k = 0; k < times; k++) bytes = broken(bytes, dice);
    watch.changed();
    const content = 'text' in importer ? { text: bytes.toString('utf8') } : { base64: bytes.toString('base64') };
    const told = await program.ask('POST', `${importer.path}?today=${today}`, { ...content, commit: true });
    score.tried++;
    judge(score, `${importer.path}, file ${i} of seed ${seed}`, told, watch);
    const detail = told.body?.error as { field?: string; message?: string } | undefined;
    if (detail?.message && detail.message.length > 1000)
      score.fail(`${importer.path}, file ${i}: a message of ${detail.message.length} letters`);
  }
  await program.remove();
  return score;
}

function broken(bytes: Buffer, dice: Dice): Buffer {
  const at = dice.below(Math.max(1, bytes.length));
  const to = Math.min(bytes.length, at + 1 + dice.below(200));
  const put = (what: Buffer | string): Buffer => Buffer.concat([bytes.subarray(0, at), Buffer.from(what), bytes.subarray(at)]);
  switch (dice.below(14)) {
    case 0: {
      const turned = Buffer.from(bytes);
      if (turned.length > 0) turned[at] = dice.below(256);
      return turned;
    }
    case 1:
      return Buffer.concat([bytes.subarray(0, at), bytes.subarray(to)]);
    case 2:
      return bytes.subarray(0, at);
    case 3:
      return Buffer.concat([bytes.subarray(0, to), bytes.subarray(at)]);
    case 4:
      return put(dice.one(['"', ',', ';', '\t', '\r', '\n', '\r\n', '{', '}', '[', ']', '\\', ':']));
    case 5:
      return put(dice.one(['\u0000', '\uFEFF', '\u202e', '🦉', '\ud83d', '=cmd', "'"]));
    case 6:
      return put(Buffer.from([dice.below(256), dice.below(256), dice.below(256)]));
    case 7:
      return Buffer.from(bytes.toString('utf8').replaceAll(',', dice.one([';', '\t', '|', ',,'])));
    case 8:
      return Buffer.from(bytes.toString('utf8'), 'latin1');
    case 9:
      return Buffer.from(bytes.toString('utf8'), 'utf16le');
    case 10:
      return Buffer.from(
        bytes.toString('utf8').replace(/\d+/g, (n) => (dice.chance(6) ? dice.one(['1e308', '-1', '99999999999999999999', 'NaN', '0']) : n)),
      );
    case 11:
      return put('x'.repeat(dice.one([300, 9_999, 10_001, 200_000])));
    case 12:
      return put('\n'.repeat(dice.one([1, 50, 30_000])));
    default:
      return Buffer.from(bytes.toString('utf8').replaceAll('\n', dice.one(['\r\n', '\r', '\n\n'])));
  }
}
