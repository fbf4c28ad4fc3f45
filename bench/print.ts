import { performance } from 'node:perf_hooks';
import { sheetPdf } from '../src/adapters/pdf/sheetPdf';
import { asWritten } from '../src/contract/countries';
import { layOut } from '../src/core/print/layOut';
import { type SheetPage, type SheetRequest } from '../src/core/print/sheetPage';
import { sheetKindById, sheetKinds } from '../src/core/print/registry';

const usual: Omit<SheetRequest, 'parameters'> = {
  paper: 'a4',
  seed: 41,
  ink: 'colour',
  duplex: 'none',
  copies: 1,
  form: 'usual',
  mark: 'kite',
  gutter: 0,
  label: '',
  country: asWritten,
};
const pagesOf = (id: string, parameters: object): readonly SheetPage[] => {
  const laid = layOut(sheetKindById(id)!, { ...usual, parameters });
  if (!laid.ok) throw new Error(laid.problem.message);
  return laid.value.pages;
};

/** Milliseconds of the second run: the first one reads faces and tables. */
async function timed(work: () => unknown): Promise<number> {
  await work();
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** What printing takes against what a person waits for without noticing; below one is within it. */
export async function benchPrint(): Promise<void> {
  const tell = (what: string, ms: number, most: number, more = ''): void =>
    console.log(`${what.padEnd(34)} ${ms.toFixed(0).padStart(6)} ms  ${(ms / most).toFixed(2)} of ${most} ms${more}`);
  const previews: [string, number][] = [];
  for (const kind of sheetKinds) previews.push([kind.id, await timed(() => pagesOf(kind.id, {}))]);
  const [slowest, ms] = previews.sort((a, b) => b[1] - a[1])[0]!;
  tell(`slowest preview: ${slowest}`, ms, 150);
  tell('60 cards', await timed(() => sheetPdf('cards', pagesOf('number-cards', { high: 15, copies: 4 }), '.')), 400);
  tell('1,000 cards', await timed(() => sheetPdf('cards', pagesOf('number-cards', { high: 50, copies: 20 }), '.')), 3000);
  const sixty = sheetKinds.flatMap((k) => pagesOf(k.id, {}).slice(0, 2)).slice(0, 60);
  let size = 0;
  const pack = await timed(async () => (size = (await sheetPdf('pack', sixty, '.')).length));
  tell('60 pages of all kinds', pack, 3000, `, ${(size / 1e6).toFixed(2)} of 6 MB`);
}
