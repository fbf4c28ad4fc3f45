import type { OwnSkillWire, OwnWire } from '../../contract/wire/skills';
import type { SkillWire } from '../../contract/wire/things';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { exampleItems } from '../../core/skills/exampleItems';
import { itemText } from '../../text/itemText';
import { Button } from '../../ui/Button';
import { Failure, Loading } from '../../ui/Empty';
import { call } from '../shared/api';
import { useTellUndo } from '../shared/useTellUndo';
import { App, messageOf, useTell } from '../shared/App';
import panel from '../shared/panel.module.css';
import { type Skills, useSkills } from '../shared/useSkills';
import { SkillDialog } from './SkillDialog';
import styles from './skills.module.css';

export default function SkillsView() {
  return (
    <App>
      <Graph />
    </App>
  );
}

/** Every skill by line: what it looks like, what it needs, what counts for it; and those of one's own. */
function Graph() {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const skills = useSkills();
  const own = useQuery({ queryKey: ['own-skills'], queryFn: () => call('GET /skills/own') });
  const [strand, setStrand] = useState('counting');
  const [search, setSearch] = useState('');
  const [chosen, setChosen] = useState<string | null>(null);
  const [editing, setEditing] = useState<OwnSkillWire | 'new' | null>(null);
  const refresh = (): void => void client.invalidateQueries();
  const change = useMutation({
    mutationFn: ({ write }: { write: () => Promise<{ change: string }>; done: string }) => write(),
    onSuccess: ({ change: c }, { done }) => {
      refresh();
      tellUndo(done, c);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (own.error) return <Failure message={messageOf(own.error)} />;
  if (!skills || !own.data) return <Loading />;
  const words = search.trim().toLowerCase();
  const line =
    words === ''
      ? skills.strands.find((s) => s.id === strand)!.skills.map((id) => skills.byId.get(id)!)
      : skills.list.filter((s) => `${s.title} ${s.looksLike} ${s.codes.join(' ')}`.toLowerCase().includes(words));
  const skill = chosen ? skills.byId.get(chosen) : line[0];
  const ownOf = (id: string): OwnSkillWire | undefined => own.data.skills.find((s) => s.id === id);
  return (
    <>
      <div className={panel.head}>
        <h1>Skills</h1>
        <span className={panel.soft}>
          {skills.list.length} on {skills.strands.length} lines{own.data.skills.length > 0 ? `, ${own.data.skills.length} of your own` : ''}
        </span>
        <input
          type="search"
          aria-label="Find a skill"
          placeholder="Find a skill or code …"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
        />
        <span className={panel.spring} />
        <Button kind="main" onClick={() => setEditing('new')}>
          Add a skill
        </Button>
      </div>
      <div className={styles.lines} role="group" aria-label="Lines">
        {skills.strands.map((s) => (
          <button
            key={s.id}
            type="button"
            aria-pressed={words === '' && s.id === strand}
            onClick={() => (setSearch(''), setStrand(s.id), setChosen(null))}
          >
            {s.title}
          </button>
        ))}
      </div>
      <div className={styles.columns}>
        <ol className={styles.list}>
          {line.map((s) => (
            <li key={s.id}>
              <button type="button" aria-pressed={s.id === skill?.id} onClick={() => setChosen(s.id)}>
                {s.title}
                <span>
                  {s.wantedAt.us.toFixed(1)} y{ownOf(s.id) ? ', your own' : ''}
                </span>
              </button>
            </li>
          ))}
          {line.length === 0 && <li className={panel.soft}>Nothing is called so.</li>}
        </ol>
        {skill && (
          <Detail
            skill={skill}
            skills={skills}
            own={own.data}
            onEdit={ownOf(skill.id) ? () => setEditing(ownOf(skill.id)!) : null}
            onRemove={() => change.mutate({ write: () => call('DELETE /skills/{id}', { params: { id: skill.id } }), done: 'Taken away.' })}
            onNeed={(id, sort) =>
              change.mutate({
                write: () => call('POST /skills/{id}/needs', { params: { id: skill.id }, body: { id, sort } }),
                done: 'It needs that now, too.',
              })
            }
            onFree={(id) =>
              change.mutate({
                write: () => call('DELETE /skills/{id}/needs/{needs}', { params: { id: skill.id, needs: id } }),
                done: 'Let go.',
              })
            }
          />
        )}
      </div>
      {editing && (
        <SkillDialog
          skill={editing === 'new' ? null : editing}
          skills={skills}
          onClose={() => setEditing(null)}
          onSaved={(c) => {
            setEditing(null);
            refresh();
            tellUndo('The skill stands on its line; profiles are made anew with it.', c);
          }}
        />
      )}
    </>
  );
}

function Detail({
  skill,
  skills,
  own,
  onEdit,
  onRemove,
  onNeed,
  onFree,
}: {
  skill: SkillWire;
  skills: Skills;
  own: OwnWire;
  onEdit: (() => void) | null;
  onRemove: () => void;
  onNeed: (id: string, sort: 'idea' | 'heart') => void;
  onFree: (id: string) => void;
}) {
  const examples = skill.predicate ? exampleItems(skill.predicate, 6, 1, skill.asks) : null;
  const later = skills.list.filter((s) => s.prerequisites.some((p) => p.id === skill.id));
  const added = (id: string): boolean => own.edges.some((e) => e.skill === skill.id && e.needs === id);
  return (
    <section className={panel.sheet}>
      <h2>{skill.title}</h2>
      <p>{skill.looksLike}</p>
      <dl className={styles.facts}>
        <dt>Of the sort</dt>
        <dd>
          {skill.nature === 'by-heart'
            ? 'known by heart; right answers in games count'
            : skill.nature === 'method'
              ? 'a written way, an instrument or a scale; right answers in games count, and to work it out is to hold it'
              : skill.nature === 'strategy'
                ? 'a way of working it out; only a note on how counts'
                : 'an idea; only a note on how counts'}
        </dd>
        <dt>Usually wanted</dt>
        <dd>
          at {skill.wantedAt.us.toFixed(1)} (US style), {skill.wantedAt.england.toFixed(1)} (England style)
        </dd>
        <dt>Commonly goes wrong</dt>
        <dd>{skill.slips.join(' ') || '–'}</dd>
        <dt>Codes</dt>
        <dd>{skill.codes.join(', ') || '–'}</dd>
        <dt>Needs</dt>
        <dd>
          {skill.prerequisites.length === 0 && <span className={styles.need}>nothing before it</span>}
          {skill.prerequisites.map((p) => (
            <span key={p.id} className={styles.need}>
              {skills.title(p.id)}
              {p.sort === 'heart' ? ' by heart' : ''}{' '}
              {added(p.id) && (
                <Button kind="plain" onClick={() => onFree(p.id)}>
                  let go
                </Button>
              )}
            </span>
          ))}
          <select aria-label="Add something it needs" value="" onChange={(e) => e.target.value && onNeed(e.target.value, 'idea')}>
            <option value="">needs also …</option>
            {skills.list
              .filter((s) => s.id !== skill.id && !skill.prerequisites.some((p) => p.id === s.id))
              .map((s) => (
                <option key={s.id} value={s.id}>
                  {s.title}
                </option>
              ))}
          </select>
        </dd>
        <dt>Leads to</dt>
        <dd>{later.map((s) => s.title).join(', ') || 'nothing further here'}</dd>
      </dl>
      {examples ? (
        <div className={styles.examples}>
          <h3>These count</h3>
          <ul>
            {[...new Set(examples.match.map(itemText))].map((t) => (
              <li key={t}>{t}</li>
            ))}
          </ul>
          <h3>These do not</h3>
          <ul className={styles.miss}>
            {[...new Set(examples.miss.map(itemText))].map((t) => (
              <li key={t}>{t}</li>
            ))}
          </ul>
        </div>
      ) : (
        <p className={panel.soft}>No item shows it. {skill.whyNoItems ?? ''}</p>
      )}
      {onEdit && (
        <div className={panel.row}>
          <Button onClick={onEdit}>Change</Button>
          <Button kind="danger" onClick={onRemove}>
            Take it away
          </Button>
        </div>
      )}
    </section>
  );
}
