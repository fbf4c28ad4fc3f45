import '../src/workers/node/inlineMore';
import { benchEngine } from './engine';
import { benchGeneral } from './general';
import { benchFirstEstimate, benchNative, benchWorkers } from './native';
import { benchMastery } from './mastery';
import { benchPage } from './page';
import type { Planner } from '../src/core/cohort/loop/seatings';
import { benchPlan } from './plan';
import { benchLoop } from './planning';
import { benchPrint } from './print';
import { benchCover, benchCupboard, benchImports, benchLargeShelf } from './imports';
import { benchRecommend } from './recommend';
import { benchScale } from './scale';
import { benchSession } from './session';

const [what, ...rest] = process.argv.slice(2);
if (what === 'plan') {
  if (!(await benchPlan(rest))) process.exitCode = 1;
} else if (what === 'engine') {
  benchEngine();
  benchFirstEstimate();
  await benchNative();
  benchGeneral();
  await benchWorkers();
} else if (what === 'mastery') benchMastery(rest.includes('write'));
else if (what === 'planning') {
  const list = (name: string) =>
    rest
      .find((r) => r.startsWith(`${name}=`))
      ?.slice(name.length + 1)
      .split(',');
  await benchLoop({
    quick: rest.includes('--quick'),
    train: rest.includes('train'),
    write: rest.includes('write'),
    show: rest.includes('show'),
    only: list('only') as readonly Planner[] | undefined,
    cohorts: list('cohorts'),
    sets: list('sets'),
  });
} else if (what === 'session') await benchSession();
else if (what === 'print') await benchPrint();
else if (what === 'imports') {
  benchImports();
  benchLargeShelf();
  await benchCupboard();
  await benchCover();
} else if (what === 'scale') await benchScale(rest[0]);
else if (what !== undefined) {
  console.error(
    `There is no benchmark "${what}". Use: npm run bench, npm run bench -- engine, npm run bench -- mastery, npm run bench -- imports, npm run bench -- scale, npm run bench -- session, npm run bench -- print, or npm run bench -- plan FILE…`,
  );
  process.exit(1);
} else {
  benchEngine();
  benchFirstEstimate();
  await benchNative();
  benchGeneral();
  await benchWorkers();
  benchRecommend();
  benchMastery(false);
  await benchPlan([]);
  benchPage();
}
