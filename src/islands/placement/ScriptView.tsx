import { useQuery } from '@tanstack/react-query';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { LinkButton } from '../../ui/LinkButton';
import { call, link } from '../shared/api';
import { App, messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import styles from './placement.module.css';

export default function ScriptView({ id }: { id: string }) {
  return (
    <App>
      <Script id={id} />
    </App>
  );
}

/** Steps printed on either side of where a line is open. */
const around = 4;
/** The script begins at the first step that is more likely open than not. */
const openBelow = 0.7;

/** The ladders on paper: begin at the mark, go down while it goes well, up while it does not. */
function Script({ id }: { id: string }) {
  const skills = useSkills();
  const learner = useQuery({ queryKey: ['learner', id], queryFn: () => call('GET /learners/{id}', { params: { id: id } }) });
  const mastery = useQuery({
    queryKey: ['mastery', id, 'short'],
    queryFn: () => call('GET /learners/{id}/mastery', { params: { id: id }, query: { limit: 1000, steps: 'false' } }),
  });
  if (learner.error) return <Failure message={messageOf(learner.error)} />;
  if (!skills || !learner.data || !mastery.data) return <Loading />;
  const map = new Map(mastery.data.items.map((e) => [e.skill, e.mastery]));
  return (
    <>
      <div className={panel.head}>
        <h1>{learner.data.nickname}, with real things</h1>
        <span className={panel.spring} />
        <span className={styles.screenOnly}>
          <LinkButton href={link(`/learners/${id}/place`)}>Back to the screen</LinkButton>{' '}
          <Button onClick={() => window.print()}>Print</Button>
        </span>
      </div>
      <p className={panel.lead}>
        Begin at the arrow. Can? Go down. Not yet? Go up. Two “not yet” in a row, and the line is done. Stop any time; leave open what you
        do not know.
      </p>
      {skills.strands.map((line) => {
        const open = line.skills.findIndex((k) => (map.get(k) ?? 0) < openBelow);
        const start = open < 0 ? line.skills.length - 1 : open;
        const shown = line.skills.slice(Math.max(0, start - around), start + around);
        return (
          <section key={line.id} className={styles.paper}>
            <h2>{line.title}</h2>
            <table>
              <thead>
                <tr>
                  <th scope="col">Step</th>
                  <th scope="col">Looks like</th>
                  <th scope="col">can</th>
                  <th scope="col">with help</th>
                  <th scope="col">not yet</th>
                </tr>
              </thead>
              <tbody>
                {shown.map((k) => (
                  <tr key={k}>
                    <th scope="row">
                      {k === line.skills[start] ? '→ ' : ''}
                      {skills.title(k)}
                    </th>
                    <td>{skills.byId.get(k)!.looksLike}</td>
                    <td>○</td>
                    <td>○</td>
                    <td>○</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        );
      })}
    </>
  );
}
