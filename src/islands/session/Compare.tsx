import { Button } from '../../ui/Button';
import panel from '../shared/panel.module.css';
import { type Draft, seatChanges } from './edit';
import styles from './session.module.css';

const listed = 8;

/** Two plans of one session: who sits elsewhere now, and a way back. */
export function Compare({
  before,
  after,
  words,
  nickname,
  gameTitle,
  onBack,
  onClose,
}: {
  before: Draft;
  after: Draft;
  /** What it brought, in words. */
  words: string;
  nickname: (id: string) => string;
  gameTitle: (id: string) => string;
  onBack: () => void;
  onClose: () => void;
}) {
  const changes = seatChanges(before, after);
  if (changes.length === 0) return null;
  const game = (id: string | null): string => (id === null ? 'resting' : gameTitle(id));
  return (
    <section className={`${panel.sheet} ${styles.compare}`} aria-label="Before and now">
      <h2>Planned again</h2>
      <p>{words}</p>
      <ul>
        {changes.slice(0, listed).map((c) => (
          <li key={`${c.round} ${c.learner}`}>
            Round {c.round + 1}: <b>{nickname(c.learner)}</b> {game(c.from)} → {game(c.to)}
          </li>
        ))}
        {changes.length > listed && <li>and {changes.length - listed} more</li>}
      </ul>
      <div className={panel.row}>
        <Button onClick={onClose}>Keep it so</Button>
        <Button onClick={onBack}>Back to how it was</Button>
      </div>
    </section>
  );
}
