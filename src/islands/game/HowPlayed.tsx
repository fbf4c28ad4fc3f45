import {
  ArrowLeftRight,
  ArrowRight,
  BadgePlus,
  BookOpen,
  Boxes,
  Brush,
  Circle,
  CircleDot,
  Clock,
  Coins,
  Dice5,
  Divide,
  Eye,
  Flag,
  FlipHorizontal2,
  Gamepad,
  Grid3x3,
  Hand,
  Hash,
  Layers,
  Link,
  type LucideIcon,
  MessageCircle,
  Minus,
  Pencil,
  Plus,
  Puzzle,
  Repeat,
  Route,
  Scale,
  Square,
  SquareStack,
  Target,
  Trophy,
  TrendingUp,
  Users,
  X,
  Zap,
} from 'lucide-react';
import { useState } from 'react';
import { type PlayedAnswers, proposeMechanisms } from '../../core/content/howPlayed';
import { playedAnswers, type PlayedQuestion } from '../../core/mechanisms/mechanism';
import { playedQuestions, playedWords } from '../../text/howPlayed';
import { valueWords } from '../../text/bench';
import { Button } from '../../ui/Button';
import panel from '../shared/panel.module.css';
import styles from './questions.module.css';
import type { MechanismWire } from '../../contract/wire/families';

const pictures: Readonly<Record<string, LucideIcon>> = {
  dice: Dice5,
  cards: SquareStack,
  'face-down': Square,
  tiles: Puzzle,
  board: Route,
  paper: Pencil,
  things: Boxes,
  adds: Plus,
  'takes-away': Minus,
  multiplies: X,
  compares: ArrowLeftRight,
  partner: Link,
  counts: Hash,
  'places-digits': Layers,
  'goes-on': ArrowRight,
  balances: Scale,
  mirrors: FlipHorizontal2,
  races: Flag,
  'total-grows': TrendingUp,
  collects: Hand,
  fills: Grid3x3,
  closes: CircleDot,
  joins: BadgePlus,
  'lays-down': SquareStack,
  'makes-target': Target,
  guesses: MessageCircle,
  'passes-on': Repeat,
  'takes-apart': Divide,
  tells: BookOpen,
  builds: Boxes,
  covers: Brush,
  writes: Pencil,
  'puts-in-order': Layers,
  'counts-up': Coins,
  looks: Eye,
  says: MessageCircle,
  'compares-round': ArrowLeftRight,
  dares: Zap,
  takes: Hand,
  'in-turn': Repeat,
  'all-at-once': Clock,
  together: Users,
  'first-home': Flag,
  full: Grid3x3,
  'all-gone': Circle,
  score: Trophy,
  rounds: Repeat,
};

/** Five picture questions that find how a game nobody wrote down is played. */
export function HowPlayed({
  mechanisms,
  start = {},
  onChoose,
  onLeave,
  leaveWords = 'Leave the questions',
}: {
  mechanisms: readonly MechanismWire[];
  /** Answers that are given already. */
  start?: PlayedAnswers;
  onChoose: (mechanism: string, parameters: Record<string, unknown>) => void;
  onLeave: () => void;
  leaveWords?: string;
}) {
  const [answers, setAnswers] = useState<Partial<Record<PlayedQuestion, string>>>(start);
  const questions = Object.keys(playedQuestions) as PlayedQuestion[];
  const proposals = proposeMechanisms(answers);
  return (
    <section className={styles.howPlayed} aria-label="How is it played?">
      <div>
        {questions.map((q) => (
          <fieldset key={q} className={styles.fieldset}>
            <legend>{playedQuestions[q]}</legend>
            <div className={styles.pictures}>
              {playedAnswers[q].map((a) => {
                const Picture = pictures[a] ?? Gamepad;
                return (
                  <button
                    key={a}
                    type="button"
                    aria-pressed={answers[q] === a}
                    onClick={() =>
                      setAnswers(
                        answers[q] === a ? Object.fromEntries(Object.entries(answers).filter(([k]) => k !== q)) : { ...answers, [q]: a },
                      )
                    }
                  >
                    <Picture aria-hidden size={22} strokeWidth={1.6} />
                    {playedWords[a]}
                  </button>
                );
              })}
            </div>
          </fieldset>
        ))}
      </div>
      <div className={styles.proposals}>
        <h3>{proposals.length === 0 ? 'Answer one question, and it proposes.' : 'It may be played like this'}</h3>
        <ul className={panel.list}>
          {proposals.map((p) => {
            const m = mechanisms.find((x) => x.id === p.mechanism);
            if (!m) return null;
            const set = Object.entries(p.parameters).map(
              ([k, v]) => `${(m.parametersSchema.properties[k]?.title ?? k).toLowerCase()}: ${valueWords(v)}`,
            );
            return (
              <li key={p.mechanism}>
                <Button onClick={() => onChoose(p.mechanism, { ...p.parameters })}>{m.title}</Button>{' '}
                <span className={panel.soft}>
                  fits {p.fits} of {p.given} answers{set.length > 0 ? `; ${set.join(', ')}` : ''}. {m.words[0]}
                </span>
              </li>
            );
          })}
        </ul>
        <Button kind="plain" onClick={onLeave}>
          {leaveWords}
        </Button>
      </div>
    </section>
  );
}
