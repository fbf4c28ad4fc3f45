import { benchPlan } from './plan';
const [what, ...rest] = process.argv.slice(2);
if (what === 'plan') await benchPlan(rest);
