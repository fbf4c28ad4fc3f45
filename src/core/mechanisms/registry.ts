import type { Mechanism } from './mechanism';
import { askForCards } from './ask-for-cards';
import { balanceTheBeam } from './balance-the-beam';
import { boundGuess } from './bound-guess';
import { buildANumber } from './build-a-number';
import { callAndClaim } from './call-and-claim';
import { chainCards } from './chain-cards';
import { closeTheTiles } from './close-the-tiles';
import { collectAll } from './collect-all-that-show-it';
import { compareCards } from './compare-cards';
import { continueThePattern } from './continue-the-pattern';
import { countTheLot } from './count-the-lot';
import { coverGrid } from './cover-grid';
import { coverTheShape } from './cover-the-shape';
import { dealOrderPuzzle } from './deal-order-puzzle';
import { digitPlacement } from './digit-placement';
import { edgeTiles } from './edge-tiles';
import { equationDraw } from './equation-draw';
import { factWheel } from './fact-wheel';
import { matchSets } from './match-sets';
import { measureAndRecord } from './measure-and-record';
import { mirrorIt } from './mirror-it';
import { neighbourRace } from './neighbour-race';
import { pairMemory } from './pair-memory';
import { partWholeDice } from './part-whole-dice';
import { placeDigitHop } from './place-digit-hop';
import { pressYourLuck } from './press-your-luck';
import { quickLook } from './quick-look';
import { runningTotal } from './running-total';
import { sequenceGrid } from './sequence-grid';
import { sortAndGraph } from './sort-and-graph';
import { splitAndSpill } from './split-and-spill';
import { stackOrLineUp } from './stack-or-line-up';
import { storyCards } from './story-cards';
import { sumColumns } from './sum-columns';
import { takeAwayPiles } from './take-away-piles';
import { targetCombine } from './target-combine';
import { taskHunt } from './task-hunt';
import { trackRace } from './track-race';
import { fillTheWhole } from './fill-the-whole';
import { tensOrOnes } from './tens-or-ones';
import { claimRectangles } from './claim-rectangles';
import { productBoard } from './product-board';
import { remainderRace } from './remainder-race';
import { factorTake } from './factor-take';
import { findTheSpot } from './find-the-spot';
import { guessMyRule } from './guess-my-rule';
import { whichShape } from './which-shape';
import { angleAim } from './angle-aim';
import { calendarHunt } from './calendar-hunt';
import { estimateJar } from './estimate-jar';
import { moneyRace } from './money-race';
import { setsAndRuns } from './sets-and-runs';
import { boxesAndNets } from './boxes-and-nets';

/** Every rule family; one folder and one line here adds another. */
export const mechanisms = [
  sumColumns,
  trackRace,
  runningTotal,
  pairMemory,
  askForCards,
  edgeTiles,
  closeTheTiles,
  equationDraw,
  targetCombine,
  digitPlacement,
  neighbourRace,
  boundGuess,
  coverGrid,
  chainCards,
  splitAndSpill,
  balanceTheBeam,
  storyCards,
  collectAll,
  stackOrLineUp,
  continueThePattern,
  coverTheShape,
  mirrorIt,
  partWholeDice,
  taskHunt,
  matchSets,
  sequenceGrid,
  callAndClaim,
  dealOrderPuzzle,
  buildANumber,
  placeDigitHop,
  countTheLot,
  measureAndRecord,
  sortAndGraph,
  quickLook,
  factWheel,
  compareCards,
  pressYourLuck,
  takeAwayPiles,
  fillTheWhole,
  tensOrOnes,
  claimRectangles,
  productBoard,
  remainderRace,
  factorTake,
  findTheSpot,
  guessMyRule,
  whichShape,
  angleAim,
  calendarHunt,
  estimateJar,
  moneyRace,
  setsAndRuns,
  boxesAndNets,
] as unknown as readonly Mechanism[];

const byId = new Map(mechanisms.map((m) => [m.id, m]));

export function mechanismById(id: string): Mechanism | undefined {
  return byId.get(id);
}
