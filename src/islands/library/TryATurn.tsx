import type { LibraryGameWire } from '../../contract/wire/library';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Dialog } from '../../ui/Dialog';
import { Failure, Loading } from '../../ui/Empty';
import { useMechanisms } from '../game/useMechanism';
import { OneTurn } from '../recognise/OneTurn';
import { call } from '../shared/api';
import { messageOf } from '../shared/App';
import { HowToPlay } from '../shared/HowToPlay';
import { PictureSteps } from '../shared/PictureSteps';
import panel from '../shared/panel.module.css';
import styles from './library.module.css';

/** A version of a game before it is taken: a turn of a simulated game told with its numbers, and how it is played. */
export function TryATurn({ game, first, onClose }: { game: LibraryGameWire; first: string; onClose: () => void }) {
  const [id, setId] = useState(first);
  const v = game.variants.find((x) => x.id === id) ?? game.variants[0]!;
  const mechanism = useMechanisms()?.find((m) => m.id === game.mechanism);
  const rules = useQuery({
    queryKey: ['how-to', 'library', game.id, v.id],
    queryFn: () =>
      call('POST /how-to', { body: { mechanism: game.mechanism, parameters: { ...v.parameters }, ages: [v.ages[0], v.ages[1]] } }),
    staleTime: Infinity,
  });
  return (
    <Dialog wide title={game.title} onClose={onClose}>
      <div className={styles.trying}>
        <div className={styles.versions} role="group" aria-label="Version">
          {game.variants.map((x) => (
            <button key={x.id} type="button" aria-pressed={x.id === v.id} onClick={() => setId(x.id)}>
              {x.title}
            </button>
          ))}
        </div>
        <p className={panel.soft}>
          For {v.ages[0]} to {v.ages[1]} years.
        </p>
        {rules.error ? (
          <Failure message={messageOf(rules.error)} />
        ) : rules.data ? (
          <HowToPlay howTo={rules.data} story={game.story} pictures={<PictureSteps howTo={rules.data} />} />
        ) : (
          <Loading />
        )}
        <h3>A turn, as the machine played it</h3>
        {mechanism && <OneTurn mechanism={mechanism} parameters={v.parameters} />}
        {v.profile && (
          <p className={`${panel.soft} ${panel.small}`}>
            {v.profile.games.toLocaleString('en')} simulated games of {v.profile.seats}:{' '}
            {v.profile.minutes.map((m) => m.toFixed(0)).join(', ')} minutes (short, usual, long); {(v.profile.idleTurns * 100).toFixed(0)} %
            of turns with nothing to do{v.profile.course && `; ${courseWords(v.profile.course)}`}.
          </p>
        )}
      </div>
    </Dialog>
  );
}

type CourseOfVersion = NonNullable<NonNullable<LibraryGameWire['variants'][number]['profile']>['course']>;

/** Whether it stays open, in a line. */
const courseWords = ({ leadChanges, known }: CourseOfVersion): string =>
  `the lead changes ${leadChanges.toFixed(1)} times, and ${known < 1 ? `for ${Math.round(known * 100)} %` : 'to the end'} of a middling game nobody knows who wins`;
