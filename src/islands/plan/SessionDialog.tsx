import type { MeetingWire } from '../../contract/wire/term';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Progress } from '../../ui/Empty';
import { Field } from '../../ui/Field';
import { ApiError, call, follow, isBegun, link } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useWriteKey } from '../shared/useWriteKey';
import styles from './plan.module.css';
import { WhoIsThere } from './WhoIsThere';

/** Fields that say themselves what is wrong with them. */
const shown: ReadonlySet<string> = new Set(['date', 'rounds', 'minutes', 'tables', 'helpers']);

/** Who is there, how many rounds and tables; then the plan is worked out. */
export function SessionDialog({ date, meeting, onClose }: { date: string; meeting: MeetingWire | null; onClose: () => void }) {
  const learners = useQuery({ queryKey: ['learners'], queryFn: () => call('GET /learners', { query: { limit: 5000 } }) });
  const [day, setDay] = useState(date);
  const [away, setAway] = useState<ReadonlySet<string>>(new Set());
  const [shape, setShape] = useState({
    rounds: meeting?.rounds ?? 3,
    minutes: meeting?.minutes ?? 15,
    tables: meeting?.tables ?? 4,
    helpers: meeting?.helpers ?? 2,
  });
  const [grownUp, setGrownUp] = useState(false);
  const [running, setRunning] = useState<number | null>(null);
  const [job, setJob] = useState<string | null>(null);
  const [problem, setProblem] = useState<ApiError | null>(null);
  const key = useWriteKey();
  const stopper = useRef<AbortController | null>(null);
  const all = learners.data?.items ?? [];
  const present = all.filter((l) => !away.has(l.id)).map((l) => l.id);
  async function plan(): Promise<void> {
    setProblem(null);
    setRunning(0);
    stopper.current = new AbortController();
    try {
      const body = { date: day, present, ...shape, seconds: 2, ...(grownUp ? { grownUp } : {}) };
      const started = await call('POST /plans', { query: { wait: 0 }, body, key });
      if (isBegun(started)) setJob(started.job);
      const id = isBegun(started) ? (await follow('POST /plans', started, setRunning, stopper.current.signal)).plan : started.id;
      location.href = link(`/plan/${id}`);
    } catch (error) {
      setProblem(error instanceof ApiError ? error : new ApiError({ code: 'unknown', message: messageOf(error) }, 0));
      setRunning(null);
      setJob(null);
    }
  }
  /** The best plan so far is taken, and the page goes on to it. */
  async function enough(id: string): Promise<void> {
    try {
      await call('POST /jobs/{id}/finish', { params: { id } });
    } catch (error) {
      setProblem(error instanceof ApiError ? error : null);
    }
  }
  const number = (name: keyof typeof shape, label: string, min: number, max: number) => (
    <Field label={label} error={problem?.problem.field === name ? problem.message : null}>
      {(p) => (
        <input
          {...p}
          type="number"
          min={min}
          max={max}
          value={shape[name]}
          onChange={(e) => setShape({ ...shape, [name]: Number(e.target.value) })}
        />
      )}
    </Field>
  );
  return (
    <Dialog title="Plan a session" onClose={onClose} wide>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void plan();
        }}
      >
        <div className={styles.shape}>
          <Field label="Day" error={problem?.problem.field === 'date' ? problem.message : null}>
            {(p) => <input {...p} type="date" value={day} onChange={(e) => setDay(e.target.value)} />}
          </Field>
          {number('rounds', 'Rounds', 1, 8)}
          {number('minutes', 'Minutes each', 3, 120)}
          {number('tables', 'Tables', 0, 20)}
          {number('helpers', 'Helpers', 0, 20)}
        </div>
        {shape.helpers > 0 && (
          <label>
            <input type="checkbox" checked={grownUp} onChange={(e) => setGrownUp(e.target.checked)} /> a helper may take a seat where a game
            wants one player more
          </label>
        )}
        <WhoIsThere all={all} away={away} onChange={setAway}>
          {learners.data?.total === 0 && <p>Nobody is here yet. Bring in a roster first.</p>}
        </WhoIsThere>
        {problem && !shown.has(problem.problem.field ?? '') && <p className={panel.bad}>{problem.message}</p>}
        <div className={panel.actions}>
          {running !== null && (
            <>
              <Progress share={running} label="working it out" />
              <Button disabled={job === null} onClick={() => void enough(job!)}>
                Take the best so far
              </Button>
              <Button onClick={() => stopper.current?.abort()}>Stop</Button>
            </>
          )}
          <Button onClick={onClose}>Leave it</Button>
          {/* Until it is known who there is, nobody would be present. */}
          <Button kind="main" type="submit" disabled={running !== null || !learners.data}>
            Work it out
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
