import england from '../../data/standards/england.json';
import us from '../../data/standards/us-k6.json';
import type { ShippedFramework } from '../core/frameworks/writeCase';

/** The two frameworks that ship: codes with our own paraphrases, never the official text. */
export const shippedFrameworks: readonly ShippedFramework[] = [
  {
    id: 'us',
    title: 'US style, K–6',
    creator: 'Zeitgeber',
    notes: 'Codes of the Common Core State Standards for Mathematics (2010), from memory; the wording is ours.',
    uri: 'urn:zeitgeber:frameworks:us',
    expectations: us,
  },
  {
    id: 'england',
    title: 'England style, by year',
    creator: 'Zeitgeber',
    notes: 'Own codes by year and domain after the national curriculum of 2014, from memory; the wording is ours.',
    uri: 'urn:zeitgeber:frameworks:england',
    expectations: england,
  },
];

/** Our paraphrase of every shipped code. */
export const paraphrases: ReadonlyMap<string, string> = new Map(
  shippedFrameworks.flatMap((f) => f.expectations.map((e) => [e.code, e.paraphrase] as const)),
);
