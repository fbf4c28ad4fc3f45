import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { heldAt } from '../../core/mastery/parameters';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { App, messageOf, useTell } from '../shared/App';
import { goodNext } from '../shared/goodNext';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import styles from './mine.module.css';

export default function MineView({ id }: { id: string }) {
  return (
    <App>
      <Mine id={id} />
    </App>
  );
}

const mostShown = 12;
const mostNext = 3;

/** What a child may see of the own map: what is there, what comes, and the games liked. No numbers, no ranks, no misses. */
function Mine({ id }: { id: string }) {
  const client = useQueryClient();
  const tell = useTell();
  const skills = useSkills();
  const [search, setSearch] = useState('');
  const learner = useQuery({ queryKey: ['learner', id], queryFn: () => call('GET /learners/{id}', { params: { id: id } }) });
  const mastery = useQuery({
    queryKey: ['mastery', id, 'short'],
    queryFn: () => call('GET /learners/{id}/mastery', { params: { id: id }, query: { limit: 1000, steps: 'false' } }),
  });
  const games = useQuery({ queryKey: ['games'], queryFn: () => call('GET /games', { query: { limit: 1000 } }) });
  const like = useMutation({
    mutationFn: (likings: string[]) =>
      call('PATCH /learners/{id}', { params: { id: id }, body: { version: learner.data!.version, likings } }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['learner', id] }),
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (learner.error) return <Failure message={messageOf(learner.error)} />;
  if (!skills || !learner.data || !mastery.data || !games.data) return <Loading />;
  const l = learner.data;
  const can = mastery.data.items
    .filter((e) => e.seen && e.asSeen >= heldAt)
    .sort((x, y) => ((x.lastSeen ?? '') < (y.lastSeen ?? '') ? 1 : -1));
  const next = goodNext(mastery.data.items, skills, l).slice(0, mostNext);
  const found = games.data.items.filter((g) => !g.retired && g.title.toLowerCase().includes(search.toLowerCase()));
  const toggle = (game: string): void => like.mutate(l.likings.includes(game) ? l.likings.filter((x) => x !== game) : [...l.likings, game]);
  return (
    <>
      <div className={panel.head}>
        <h1>{l.nickname}</h1>
        <span className={panel.spring} />
        <LinkButton href={link(`/learners/${id}`)}>Back</LinkButton>
      </div>
      <div className={styles.mine}>
        <section>
          <h2>I can do this on my own</h2>
          {can.length === 0 ? (
            <p>We are just beginning. Every game shows us something.</p>
          ) : (
            <ul>
              {can.slice(0, mostShown).map((e) => (
                <li key={e.skill}>{skills.title(e.skill)}</li>
              ))}
            </ul>
          )}
        </section>
        <section>
          <h2>I am working on this</h2>
          <ul>
            {next.map((e) => (
              <li key={e.skill}>
                {skills.title(e.skill)}
                <small>{skills.byId.get(e.skill)!.looksLike}</small>
              </li>
            ))}
          </ul>
        </section>
        <section>
          <h2>Games I like</h2>
          <input
            type="search"
            aria-label="Find a game"
            placeholder="Find a game …"
            value={search}
            onChange={(e) => setSearch(e.target.value)}
          />
          <ul className={styles.games}>
            {found
              .sort((x, y) => Number(l.likings.includes(y.id)) - Number(l.likings.includes(x.id)) || (x.title < y.title ? -1 : 1))
              .slice(0, mostShown)
              .map((g) => (
                <li key={g.id}>
                  <button type="button" aria-pressed={l.likings.includes(g.id)} disabled={like.isPending} onClick={() => toggle(g.id)}>
                    {g.title}
                  </button>
                </li>
              ))}
          </ul>
        </section>
      </div>
    </>
  );
}
