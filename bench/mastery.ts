import { writeFileSync } from 'node:fs';
import { shippedGraph } from '../src/contract/shippedData';
import { ASSUMPTIONS, JUDGED_SEEDS } from '../src/core/cohort/assumptions';
import { areaUnderCurve, baseRate, brier, calibrationError, type Forecast, reliability } from '../src/core/cohort/evaluate';
import { following } from '../src/core/cohort/following';
import { judge, type Judged } from '../src/core/cohort/judge';
import { placeLearner } from '../src/core/cohort/placeLearner';
import { simulateTerm, HALF_TERM } from '../src/core/cohort/simulateTerm';
import { mapOf, readMap } from '../src/core/mastery/estimateMastery';
import { seeEvidence } from '../src/core/mastery/mapState';
import type { LearnerFacts } from '../src/core/mastery/evidence';

const learners = 60;
const askedBetter = 0.2;
const askedCalibration = 0.05;
const three = (x: number): string => x.toFixed(3);
const quantile = (sorted: readonly number[], q: number): number => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;

/** Whether estimates are good: invented learners whose truth is known, three sets of assumptions, the worst counts. */
export function benchMastery(write: boolean): void {
  const graph = shippedGraph();
  const lines: string[] = [];
  const say = (line: string): void => {
    lines.push(line);
    console.log(line);
  };
  say(
    `\nForecasts of “holds the skill” before each observation of a skill seen before: ${learners} learners × ${JUDGED_SEEDS.length} seeds, ${graph.skills.length} skills, half a term\n`,
  );
  say(
    '| assumptions | forecasts | held | Brier | last observation | mean of last five | better than the better one | calibration error | area under the curve |',
  );
  say('|---|---|---|---|---|---|---|---|---|');
  let worstBetter = 1;
  let worstCalibration = 0;
  const all = new Map<string, Judged[]>();
  for (const a of ASSUMPTIONS) {
    const judged = JUDGED_SEEDS.map((seed) => judge(graph, a, learners, seed));
    all.set(a.id, judged);
    const e = judged.flatMap((j) => j.again.estimate);
    const last = brier(judged.flatMap((j) => j.again.last));
    const five = brier(judged.flatMap((j) => j.again.lastFive));
    const better = 1 - brier(e) / Math.min(last, five);
    worstBetter = Math.min(worstBetter, better);
    worstCalibration = Math.max(worstCalibration, calibrationError(e));
    say(
      `| ${a.id}: ${a.words} | ${e.length} | ${three(baseRate(e))} | ${three(brier(e))} | ${three(last)} | ${three(five)} | ${Math.round(better * 100)} % | ${three(calibrationError(e))} | ${three(areaUnderCurve(e))} |`,
    );
  }
  say(
    `\nWorst: ${Math.round(worstBetter * 100)} % better (asked ${askedBetter * 100} %), calibration error ${three(worstCalibration)} (asked under ${askedCalibration}).`,
  );
  say(
    '\nOther forecasts\n\n| assumptions | which | forecasts | Brier | of the base rate | calibration error | area under the curve |\n|---|---|---|---|---|---|---|',
  );
  for (const a of ASSUMPTIONS) {
    const judged = all.get(a.id)!;
    const row = (words: string, f: readonly Forecast[]): void =>
      say(
        `| ${a.id} | ${words} | ${f.length} | ${three(brier(f))} | ${three(baseRate(f) * (1 - baseRate(f)))} | ${three(calibrationError(f))} | ${three(areaUnderCurve(f))} |`,
      );
    row(
      'before a skill is seen at all',
      judged.flatMap((j) => j.first),
    );
    row(
      'every skill on the last day',
      judged.flatMap((j) => j.end),
    );
    row(
      'skills seen, on the last day',
      judged.flatMap((j) => j.endSeen.estimate),
    );
  }
  say(
    '\nReliability: mean forecast → share held (forecasts)\n\n| assumptions | ' +
      Array.from({ length: 10 }, (_, i) => `${i / 10}–${(i + 1) / 10}`).join(' | ') +
      ' |\n|---' +
      '|---'.repeat(10) +
      '|',
  );
  for (const a of ASSUMPTIONS)
    say(
      `| ${a.id} | ${reliability(all.get(a.id)!.flatMap((j) => j.again.estimate))
        .map((b) => (b.n ? `${b.meanForecast.toFixed(2)} → ${b.shareHeld.toFixed(2)} (${b.n})` : '–'))
        .join(' | ')} |`,
    );
  say(
    '\nObservations until the estimate follows a change\n\n| assumptions | learnt: median, 9 of 10, never in the term | forgotten: median, 9 of 10, never in the term |\n|---|---|---|',
  );
  for (const a of ASSUMPTIONS) {
    const f = JUDGED_SEEDS.map((seed) => following(graph, a, learners, seed));
    const words = (list: readonly number[]): string => {
      const followed = list.filter((n) => n > 0).sort((x, y) => x - y);
      const told = followed.length === 0 ? '–, –' : `${quantile(followed, 0.5)}, ${quantile(followed, 0.9)}`;
      return `${told}, ${list.filter((n) => n < 0).length} of ${list.length}`;
    };
    say(`| ${a.id} | ${words(f.flatMap((x) => x.learning))} | ${words(f.flatMap((x) => x.forgetting))} |`);
  }
  say(
    '\nPlacement over the six lines of number\n\n| assumptions | questions: 1 of 10, median, 9 of 10, most | under 12 | Brier after | before | calibration error after |\n|---|---|---|---|---|---|',
  );
  for (const a of ASSUMPTIONS) {
    const placed = JUDGED_SEEDS.flatMap((seed) =>
      Array.from({ length: learners }, (_, i) => placeLearner(graph, 5 + (6 * (i + 0.5)) / learners, a, seed, i)),
    );
    const q = placed.map((p) => p.questions).sort((x, y) => x - y);
    const after = placed.flatMap((p) => p.forecasts);
    say(
      `| ${a.id} | ${quantile(q, 0.1)}, ${quantile(q, 0.5)}, ${quantile(q, 0.9)}, ${q.at(-1)} | ${Math.round((100 * q.filter((n) => n < 12).length) / q.length)} % | ${three(brier(after))} | ${three(brier(placed.flatMap((p) => p.before)))} | ${three(calibrationError(after))} |`,
    );
  }
  if (write) writeFileSync('docs/evaluation.md', `${head}${lines.join('\n')}\n`);
  benchMapSpeed();
}

const head = `# Does it estimate well?

Made by \`npm run bench -- mastery write\`. The learners are invented: an item-response model with learning,
forgetting, prerequisites, slips and tools (\`src/core/cohort\`), which shares no code with the estimator
(\`src/core/mastery\`). Its three sets of assumptions and the judged seeds were fixed before the estimator's
parameters were set; those were set on other seeds (7, 8). Real children may differ from all three sets, so
this says whether the sums are done well, not how well any child is known.

“Holds” means: four answers of five right with no tool, slips and guesses aside. The two plain rules know the
same observations: the last one (on their own 1, with help ½, stuck 0, a sheet its share), or the mean of the last five.
`;

/** A map of 30 learners from 20,000 observations, and one new note. */
export function benchMapSpeed(): void {
  const graph = shippedGraph();
  const terms = Array.from({ length: 30 }, (_, i) =>
    simulateTerm(graph, 5 + i / 5, ASSUMPTIONS[0]!, { ...HALF_TERM, weeks: 40, notesPerMeeting: 8, holiday: null }, 11, i),
  );
  const facts = terms.map((t): LearnerFacts => ({ born: t.born, framework: 'us', permanentSupports: [], supportsInUse: [] }));
  const rows = terms.map((t) => t.moments.map((m) => m.evidence));
  const factor = 20_000 / rows.reduce((sum, r) => sum + r.length, 0);
  const began = performance.now();
  for (const [i, t] of terms.entries()) readMap(graph, facts[i]!, mapOf(graph, facts[i]!, rows[i]!, t.lastDay, false), t.lastDay);
  const whole = (performance.now() - began) * factor;
  const last = terms[29]!;
  const map = mapOf(graph, facts[29]!, rows[29]!.slice(0, -1), last.lastDay);
  const before = performance.now();
  seeEvidence(graph, facts[29]!, map, rows[29]!.at(-1)!);
  readMap(graph, facts[29]!, map, last.lastDay);
  const one = performance.now() - before;
  console.log(
    `\nMap of 30 learners × ${graph.skills.length} skills from 20,000 observations: ${(whole / 1000).toFixed(2)} of 3 s; one new note: ${(one / 20).toFixed(3)} of 20 ms`,
  );
}
