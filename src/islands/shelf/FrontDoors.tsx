import { Button } from '../../ui/Button';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { CountryChoice } from '../shared/CountryChoice';
import panel from '../shared/panel.module.css';
import styles from './frontDoors.module.css';

/** What an empty start asks: who is it that comes in? Three short ways, each with its next step. */
export function FrontDoors({ onAdd }: { onAdd: () => void }) {
  return (
    <>
      <h2>The shelf is empty</h2>
      <p className={panel.lead}>Where will it stand? Three ways in; nothing is decided by it.</p>
      <CountryChoice />
      <div className={styles.doors}>
        <section className={panel.sheet} aria-labelledby="door-kitchen">
          <h2 id="door-kitchen">A kitchen table</h2>
          <p>Dice, cards and paper are enough. Tick what you have, say who plays, and the first games come by themselves.</p>
          <ol>
            <li>What you have</li>
            <li>Who plays, and how old</li>
            <li>A session now</li>
          </ol>
          <LinkButton
            kind="main"
            href={link('/shelf/things?tick')}
            onClick={(e) => {
              e.preventDefault();
              const go = (): void => void (location.href = link('/shelf/things?tick'));
              // What is put away by it can be asked for at any time, so a failure is no reason to stay.
              call('PUT /door', { body: { door: 'kitchen' } }).then(go, go);
            }}
          >
            Tick what we have
          </LinkButton>
        </section>
        <section className={panel.sheet} aria-labelledby="door-coop">
          <h2 id="door-coop">A co-op</h2>
          <p>You have a list of games already. Bring it in as it is, then the children, then when you meet.</p>
          <ol>
            <li>The list of games</li>
            <li>How each is played</li>
            <li>The roster, and when you meet</li>
          </ol>
          <div className={panel.row}>
            <LinkButton href={link('/shelf/import')}>Bring in a file</LinkButton>
            <LinkButton href={link('/shelf/library')}>Look through the library</LinkButton>
            <Button kind="plain" onClick={onAdd}>
              add one game by hand
            </Button>
          </div>
        </section>
        <section className={panel.sheet} aria-labelledby="door-school">
          <h2 id="door-school">A school</h2>
          <p>You work from a list of expectations. See which steps stand for each code, then which games practise them.</p>
          <ol>
            <li>The framework</li>
            <li>The list of games</li>
            <li>Which steps have no game</li>
          </ol>
          <div className={panel.row}>
            <LinkButton href={link('/learners/frameworks')}>Look at the codes</LinkButton>
            <LinkButton href={link('/shelf/coverage')}>Which have a game</LinkButton>
            <LinkButton href={link('/shelf/import')}>Bring in a file</LinkButton>
          </div>
        </section>
      </div>
    </>
  );
}
