import type { MechanismWire } from '../../contract/wire/families';
import type { AskedWire } from '../../contract/wire/recognise';
import { valueWords } from '../../text/bench';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import { OneTurn } from './OneTurn';
import styles from './recognise.module.css';

type GuessWire = AskedWire['guesses'][number];

/** What we think it is, one turn of it, and the answers. */
export function Answers({
  row,
  guess,
  family,
  done,
  onYes,
  onNumbers,
  onPictures,
  onSteps,
}: {
  row: AskedWire;
  guess: GuessWire;
  family: MechanismWire;
  done: boolean;
  onYes: () => void;
  onNumbers: () => void;
  onPictures: () => void;
  onSteps: () => void;
}) {
  const skills = useSkills();
  const same = guess.twin && guess.twin.differs.length === 0;
  const sure = row.sure && guess === row.guesses[0];
  const told = Object.entries(guess.parameters).map(
    ([name, value]) => `${(family.parametersSchema.properties[name]?.title ?? name).toLowerCase()} ${valueWords(value)}`,
  );
  return (
    <>
      <div className={styles.think}>
        <div>
          <p className={styles.about}>{same ? 'We think it is our' : 'We think it is played as'}</p>
          <p className={styles.name}>{same ? `${guess.twin!.title}, ${guess.twin!.versionTitle}` : guess.title}</p>
        </div>
        <p className={styles.verdict}>
          <b>{sure ? 'Sure.' : 'Perhaps.'}</b> {guess.decided.length === 1 ? 'One word' : `${guess.decided.length} words`} of yours
          {guess.decided.length === 1 ? ' speaks' : ' speak'} for it
          {told.length > 0 ? `; read from it: ${told.slice(0, mostTold).join(', ')}.` : '.'}
        </p>
      </div>
      <div className={styles.turn}>
        <h3>One turn, as we would play it. Is it yours?</h3>
        <OneTurn mechanism={family} parameters={guess.parameters} />
        <button type="button" className={styles.yes} onClick={onYes} disabled={done}>
          {done ? 'Answered' : 'Yes, that is it'} <kbd>Enter</kbd>
        </button>
        <div className={styles.ways}>
          <button type="button" onClick={onNumbers}>
            Nearly, other numbers <kbd>N</kbd>
          </button>
          <button type="button" onClick={onPictures}>
            No: show pictures <kbd>P</kbd>
          </button>
          <button type="button" onClick={onSteps}>
            I only know what it teaches <kbd>S</kbd>
          </button>
        </div>
        <p className={panel.soft}>
          Then it counts as <b>guessed</b> until it is played.{' '}
          {guess.practice.length > 0
            ? `In ten minutes a child meets about ${guess.practice
                .slice(0, mostTold - 1)
                .map((d) => `${d.perTenMinutes} × ${(skills?.title(d.skill) ?? d.skill).toLowerCase()}`)
                .join(' and ')} (from simulated games of the shipped version).`
            : 'What is in it is measured as soon as you say yes.'}
        </p>
      </div>
    </>
  );
}

/** Numbers told in one line. */
const mostTold = 3;
