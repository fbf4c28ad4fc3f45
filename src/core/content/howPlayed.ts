import { mechanisms } from '../mechanisms/registry';
import type { Mechanism, PlayedQuestion } from '../mechanisms/mechanism';

export type PlayedAnswers = { readonly [Q in PlayedQuestion]?: string };

export interface Proposal {
  readonly mechanism: string;
  /** Parameters that follow from the answers; the rest keeps its usual value. */
  readonly parameters: Readonly<Record<string, unknown>>;
  /** Answers that fit, of those given. */
  readonly fits: number;
  readonly given: number;
}

/** What is done weighs most, then how it moves; what it is played with varies by household. */
const weights: Readonly<Record<PlayedQuestion, number>> = { with: 2, does: 3, moves: 4, who: 1, ends: 1 };
const proposalsShown = 4;

/** Values by which families name the same act. */
const sameAct: Readonly<Record<string, readonly string[]>> = {
  adds: ['add', 'sum', 'up', 'sum-and-result', 'make-a-sum'],
  'takes-away': ['subtract', 'difference', 'down', 'take-away', 'signed'],
  multiplies: ['multiply', 'product', 'product-and-result', 'die-is-factor'],
  counts: ['counters', 'numeral-and-dots', 'counting-tiles', 'are-equal', 'equal'],
};

/** The families that suit what was seen, best first, with parameters set as far as the answers say. */
export function proposeMechanisms(answers: PlayedAnswers): Proposal[] {
  const given = (Object.entries(answers) as [PlayedQuestion, string | undefined][]).filter(
    (a): a is [PlayedQuestion, string] => a[1] !== undefined,
  );
  return mechanisms
    .map((m) => {
      const fitting = given.filter(([question, answer]) => (m.played[question] as readonly string[]).includes(answer));
      return { m, fits: fitting.length, worth: fitting.reduce((sum, [question]) => sum + weights[question], 0) };
    })
    .filter(({ fits }) => fits > 0)
    .sort((x, y) => y.worth - x.worth)
    .slice(0, proposalsShown)
    .map(({ m, fits }) => ({ mechanism: m.id, parameters: parametersFor(m, answers), fits, given: given.length }));
}

/** Looks for a parameter whose values name what is done, and sets it when the family allows it. */
function parametersFor(m: Mechanism, answers: PlayedAnswers): Record<string, unknown> {
  const wanted = sameAct[answers.does ?? ''] ?? [];
  for (const [name, schema] of Object.entries(m.parametersSchema.properties)) {
    const one = (schema['enum'] as unknown[] | undefined)?.find((v) => wanted.includes(String(v)));
    const many = ((schema['items'] as { enum?: unknown[] } | undefined)?.enum ?? []).find((v) => wanted.includes(String(v)));
    const parameters = one !== undefined ? { [name]: one } : many !== undefined ? { [name]: [many] } : null;
    if (parameters && m.check({ ...m.defaults, ...parameters }) === null) return parameters;
  }
  return {};
}
