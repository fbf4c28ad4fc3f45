import type { PlayedQuestion } from '../core/mechanisms/mechanism';

/** The five questions and their answers, as somebody sees them at a table. */
export const playedQuestions: Readonly<Record<PlayedQuestion, string>> = {
  with: 'What is on the table?',
  does: 'What does a child do with the numbers?',
  moves: 'What happens then?',
  who: 'Who plays when?',
  ends: 'How does it end?',
};

export const playedWords: Readonly<Record<string, string>> = {
  dice: 'dice', cards: 'number cards', 'face-down': 'cards face down', tiles: 'tiles', board: 'a board or track', paper: 'paper and pencil', things: 'things to count or build',
  adds: 'adds', 'takes-away': 'takes away', multiplies: 'multiplies', compares: 'compares', partner: 'finds a partner', counts: 'counts or sees', 'places-digits': 'places digits', 'goes-on': 'goes on in steps', balances: 'balances', mirrors: 'mirrors',
  races: 'a peg moves along', 'total-grows': 'a total grows or shrinks', collects: 'cards are collected', fills: 'a row or column fills', closes: 'tiles are closed', joins: 'pieces are joined on', 'lays-down': 'an equation is laid', 'makes-target': 'a target is made', guesses: 'a number is guessed', 'passes-on': 'the next one reads on', 'takes-apart': 'a lot falls into parts', tells: 'a story is told', builds: 'something is built', covers: 'a shape is covered', writes: 'answers are written', 'puts-in-order': 'cards are put in order', 'counts-up': 'a lot is counted', looks: 'a card is shown for a moment', says: 'facts are said', 'compares-round': 'the higher takes the round', dares: 'one stops or dares', takes: 'things are taken from a pile',
  'in-turn': 'one after another', 'all-at-once': 'everyone at once', together: 'all together',
  'first-home': 'somebody arrives', full: 'something is full', 'all-gone': 'nothing is left', score: 'a score is reached', rounds: 'after some rounds',
};
