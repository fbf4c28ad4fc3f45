import amountCards from './sheets/amount-cards';
import balanceMat from './sheets/balance-mat';
import beamTasks from './sheets/beam-tasks';
import calendarPage from './sheets/calendar-page';
import callCards from './sheets/call-cards';
import chainCards from './sheets/chain-cards';
import clockFaces from './sheets/clock-faces';
import coinCards from './sheets/coin-cards';
import colourGrid from './sheets/colour-grid';
import columnSheet from './sheets/column-sheet';
import coordinateGrid from './sheets/coordinate-grid';
import digitColumns from './sheets/digit-columns';
import dominoes from './sheets/dominoes';
import edgeTiles from './sheets/edge-tiles';
import factWheel from './sheets/fact-wheel';
import figureCards from './sheets/figure-cards';
import foldUpDie from './sheets/fold-up-die';
import fractionCards from './sheets/fraction-cards';
import fractionPieces from './sheets/fraction-pieces';
import graphSheet from './sheets/graph-sheet';
import gridCards from './sheets/grid-cards';
import hexBoard from './sheets/hex-board';
import matchHalves from './sheets/match-halves';
import measureSheet from './sheets/measure-sheet';
import mirrorCards from './sheets/mirror-cards';
import netSheet from './sheets/net-sheet';
import numberBoard from './sheets/number-board';
import numberCards from './sheets/number-cards';
import numberLine from './sheets/number-line';
import numeralStands from './sheets/numeral-stands';
import operationCards from './sheets/operation-cards';
import pairCards from './sheets/pair-cards';
import partWholeMat from './sheets/part-whole-mat';
import patternStrips from './sheets/pattern-strips';
import placeCards from './sheets/place-cards';
import placeColumns from './sheets/place-columns';
import placeValueMat from './sheets/place-value-mat';
import playMoney from './sheets/play-money';
import priceCards from './sheets/price-cards';
import productBoard from './sheets/product-board';
import questionSheet from './sheets/question-sheet';
import recordingSheet from './sheets/recording-sheet';
import scoreSheet from './sheets/score-sheet';
import sequenceGrid from './sheets/sequence-grid';
import setCards from './sheets/set-cards';
import shapeCards from './sheets/shape-cards';
import slotRow from './sheets/slot-row';
import sortingMat from './sheets/sorting-mat';
import spinner from './sheets/spinner';
import squaredPaper from './sheets/squared-paper';
import storyCards from './sheets/story-cards';
import targetCards from './sheets/target-cards';
import taskCards from './sheets/task-cards';
import tenFrameMat from './sheets/ten-frame-mat';
import tileStrip from './sheets/tile-strip';
import timeCards from './sheets/time-cards';
import timetable from './sheets/timetable';
import trackBoard from './sheets/track-board';
import type { SheetKind } from './sheetKind';

/** Everything that can be printed; a new kind is one folder and one line here. */
export const sheetKinds: readonly SheetKind[] = [
  amountCards,
  balanceMat,
  beamTasks,
  calendarPage,
  callCards,
  chainCards,
  clockFaces,
  coinCards,
  colourGrid,
  columnSheet,
  coordinateGrid,
  digitColumns,
  dominoes,
  edgeTiles,
  factWheel,
  figureCards,
  foldUpDie,
  fractionCards,
  fractionPieces,
  graphSheet,
  gridCards,
  hexBoard,
  matchHalves,
  measureSheet,
  mirrorCards,
  netSheet,
  numberBoard,
  numberCards,
  numberLine,
  numeralStands,
  operationCards,
  pairCards,
  partWholeMat,
  patternStrips,
  placeCards,
  placeColumns,
  placeValueMat,
  playMoney,
  priceCards,
  productBoard,
  questionSheet,
  recordingSheet,
  scoreSheet,
  sequenceGrid,
  setCards,
  shapeCards,
  slotRow,
  sortingMat,
  spinner,
  squaredPaper,
  storyCards,
  targetCards,
  taskCards,
  tenFrameMat,
  tileStrip,
  timeCards,
  timetable,
  trackBoard,
];

const byId = new Map(sheetKinds.map((k) => [k.id, k]));
export const sheetKindById = (id: string): SheetKind | undefined => byId.get(id);
