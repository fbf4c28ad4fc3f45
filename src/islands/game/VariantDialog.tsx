import type { GameWire, VariantWire } from '../../contract/wire/shelf';
import type { KindWire } from '../../contract/wire/thingsOwned';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FormActions } from '../../ui/FormActions';
import { ApiError, call } from '../shared/api';
import { messageOf } from '../shared/App';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';
import { useClash } from '../shared/useClash';
import { useWriteKey } from '../shared/useWriteKey';
import styles from './game.module.css';
import { GettingReady } from './GettingReady';
import { HowPlayed } from './HowPlayed';
import { ParameterInput } from './ParameterInput';
import { useMechanisms } from './useMechanism';

/** Add or change a version: how it plays with which numbers, or the owner's own word. */
export function VariantDialog({
  game,
  variant,
  kinds,
  onClose,
  onSaved,
}: {
  game: GameWire;
  variant: VariantWire | null;
  kinds: readonly KindWire[];
  onClose: () => void;
  onSaved: (id: string, change: string) => void;
}) {
  const skills = useSkills();
  const mechanisms = useMechanisms();
  const [title, setTitle] = useState(variant?.title ?? '');
  const [mechanism, setMechanism] = useState<string>(variant?.mechanism ?? '');
  const [parameters, setParameters] = useState<Record<string, unknown>>(variant?.parameters ?? {});
  const [ages, setAges] = useState<[number, number]>(variant?.ages ?? [5, 9]);
  const [players, setPlayers] = useState(variant?.players ?? { min: 2, max: 4 });
  const [minutes, setMinutes] = useState(variant?.minutes ?? 15);
  const [helper, setHelper] = useState<VariantWire['helper']>(variant?.helper ?? 'nearby');
  const [room, setRoom] = useState<VariantWire['room']>(variant?.room ?? 'calm');
  const [preparation, setPreparation] = useState(variant?.preparationMinutes ?? 0);
  const [steps, setSteps] = useState(variant?.steps ?? []);
  const [uses, setUses] = useState(variant?.uses ?? []);
  const [materials, setMaterials] = useState(variant?.materials ?? []);
  const [declared, setDeclared] = useState(variant?.declared ?? []);
  const [asking, setAsking] = useState(false);
  const key = useWriteKey();
  const body = {
    title,
    mechanism: mechanism || null,
    parameters: mechanism ? parameters : {},
    ages,
    players,
    minutes,
    helper,
    room,
    preparationMinutes: steps.length > 0 ? steps.reduce((sum, s) => sum + s.minutes, 0) : preparation,
    steps,
    uses: uses.filter((u) => u.what.trim() !== ''),
    declared,
    ...(materials.length > 0 || variant ? { materials } : {}),
  };
  const clash = useClash({
    version: variant?.version ?? 0,
    body,
    labels: {
      title: 'Name of the version',
      mechanism: 'How it plays',
      parameters: 'Its numbers and rules',
      ages: 'Ages',
      players: 'Players',
      minutes: 'Minutes',
      helper: 'Helper',
      room: 'In the room',
      preparationMinutes: 'Minutes to prepare',
      steps: 'Steps of getting it ready',
      uses: 'What is used up',
      declared: 'What it practises, in your own word',
      materials: 'Things',
    },
    load: async () => {
      const now = await call('GET /variants/{id}', { params: { id: variant!.id } });
      const { title, mechanism, parameters, ages, players, minutes, helper, room, preparationMinutes } = now;
      const { steps, uses, declared, materials, version } = now;
      return {
        body: { title, mechanism, parameters, ages, players, minutes, helper, room, preparationMinutes, steps, uses, declared, materials },
        version,
      };
    },
    onMine: () => save.mutate(),
    onTheirs: onClose,
  });
  const save = useMutation({
    mutationFn: () =>
      variant
        ? call('PATCH /variants/{id}', { params: { id: variant.id }, body: clash.toSend() })
        : call('POST /variants', { body: { ...body, game: game.id }, key }),
    onSuccess: ({ id, change }) => onSaved(id, change),
    onError: clash.met,
  });
  const problem = save.error instanceof ApiError ? save.error.problem : null;
  const family = mechanisms?.find((m) => m.id === mechanism);
  const errorAt = (field: string): string | null => (problem?.field === field ? problem.message : null);
  const shownAtField = [
    'title',
    'ages',
    'players',
    'players.max',
    ...Object.keys(family?.parametersSchema.properties ?? {}).map((k) => `parameters.${k}`),
  ];
  const number = (text: string): number => Number(text.replace(',', '.'));
  return (
    <Dialog title={variant ? `Change ${game.title}, ${variant.title}` : `A new version of ${game.title}`} onClose={onClose} wide>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        {asking && mechanisms && (
          <HowPlayed
            mechanisms={mechanisms}
            onLeave={() => setAsking(false)}
            onChoose={(id, p) => {
              setMechanism(id);
              setParameters(p);
              setAsking(false);
            }}
          />
        )}
        <div className={panel.grid2} hidden={asking}>
          <div>
            <Field label="Name of the version" error={errorAt('title')}>
              {(p) => <input {...p} value={title} onChange={(e) => setTitle(e.target.value)} required />}
            </Field>
            <Field
              label="How it plays"
              hint={family ? family.words[0] : 'Choose one and the machine plays it; or leave it and name the skills below.'}
            >
              {(p) => (
                <select
                  {...p}
                  value={mechanism}
                  onChange={(e) => {
                    setMechanism(e.target.value);
                    setParameters({});
                  }}
                >
                  <option value="">not one the machine knows</option>
                  {mechanisms?.map((m) => (
                    <option key={m.id} value={m.id}>
                      {m.title}
                    </option>
                  ))}
                </select>
              )}
            </Field>
            <p>
              <Button onClick={() => setAsking(true)}>How is it played? Five picture questions</Button>
            </p>
            <div className={panel.grid2}>
              <Field label="Ages from" error={errorAt('ages')}>
                {(p) => (
                  <input
                    {...p}
                    type="number"
                    min={2}
                    max={18}
                    value={ages[0]}
                    onChange={(e) => setAges([number(e.target.value), ages[1]])}
                  />
                )}
              </Field>
              <Field label="to">
                {(p) => (
                  <input
                    {...p}
                    type="number"
                    min={2}
                    max={18}
                    value={ages[1]}
                    onChange={(e) => setAges([ages[0], number(e.target.value)])}
                  />
                )}
              </Field>
              <Field label="Players from" error={errorAt('players')}>
                {(p) => (
                  <input
                    {...p}
                    type="number"
                    min={1}
                    max={30}
                    value={players.min}
                    onChange={(e) => setPlayers({ ...players, min: number(e.target.value) })}
                  />
                )}
              </Field>
              <Field label="to" error={errorAt('players.max')}>
                {(p) => (
                  <input
                    {...p}
                    type="number"
                    min={1}
                    max={30}
                    value={players.max}
                    onChange={(e) => setPlayers({ ...players, max: number(e.target.value) })}
                  />
                )}
              </Field>
              <Field label="Minutes" error={errorAt('minutes')}>
                {(p) => (
                  <input {...p} type="number" min={1} max={240} value={minutes} onChange={(e) => setMinutes(number(e.target.value))} />
                )}
              </Field>
              {steps.length === 0 && (
                <Field label="Getting ready, minutes">
                  {(p) => (
                    <input
                      {...p}
                      type="number"
                      min={0}
                      max={1000}
                      value={preparation}
                      onChange={(e) => setPreparation(number(e.target.value))}
                    />
                  )}
                </Field>
              )}
            </div>
            <GettingReady steps={steps} uses={uses} onSteps={setSteps} onUses={setUses} />
            <Field label="Helper">
              {(p) => (
                <select {...p} value={helper} onChange={(e) => setHelper(e.target.value as VariantWire['helper'])}>
                  <option value="alone">runs alone</option>
                  <option value="nearby">adult nearby</option>
                  <option value="needed">adult needed</option>
                </select>
              )}
            </Field>
            <Field label="In the room">
              {(p) => (
                <select {...p} value={room} onChange={(e) => setRoom(e.target.value as VariantWire['room'])}>
                  <option value="calm">quietly at a table</option>
                  <option value="lively">lively: voices or movement</option>
                  <option value="floor">on the floor</option>
                </select>
              )}
            </Field>
            <fieldset className={styles.fieldset}>
              <legend>Things for one table</legend>
              {materials.map((m, i) => (
                <div key={m.kind} className={panel.row}>
                  <input
                    type="number"
                    min={1}
                    max={1000}
                    aria-label={`How many ${m.kind}`}
                    value={m.quantity}
                    onChange={(e) => setMaterials(materials.map((x, j) => (j === i ? { ...x, quantity: number(e.target.value) } : x)))}
                  />
                  <span>{kinds.find((k) => k.id === m.kind)?.title ?? m.kind}</span>
                  <Button kind="plain" onClick={() => setMaterials(materials.filter((_, j) => j !== i))}>
                    remove
                  </Button>
                </div>
              ))}
              <select
                aria-label="Add a material"
                value=""
                onChange={(e) =>
                  e.target.value &&
                  setMaterials([...materials.filter((m) => m.kind !== e.target.value), { kind: e.target.value, quantity: 1 }])
                }
              >
                <option value="">add …</option>
                {kinds.map((k) => (
                  <option key={k.id} value={k.id}>
                    {k.title}
                  </option>
                ))}
              </select>
            </fieldset>
          </div>
          <div>
            {family && (
              <fieldset className={styles.fieldset}>
                <legend>Its numbers and rules</legend>
                {Object.entries(family.parametersSchema.properties).map(([name, schema]) => (
                  <Field key={name} label={schema.title ?? name} error={errorAt(`parameters.${name}`)}>
                    {(p) => (
                      <ParameterInput
                        props={p}
                        schema={schema}
                        value={parameters[name] ?? family.example[name]}
                        onChange={(value) => setParameters({ ...parameters, [name]: value })}
                      />
                    )}
                  </Field>
                ))}
              </fieldset>
            )}
            <fieldset className={styles.fieldset}>
              <legend>{family ? 'Your own word beside it' : 'What it practises, in your own word'}</legend>
              {declared.map((d, i) => (
                <div key={d.skill} className={panel.row}>
                  <input
                    type="number"
                    min={1}
                    max={200}
                    aria-label={`Chances for ${skills?.title(d.skill)}`}
                    value={d.perTenMinutes}
                    onChange={(e) => setDeclared(declared.map((x, j) => (j === i ? { ...x, perTenMinutes: number(e.target.value) } : x)))}
                  />
                  <span>{skills?.title(d.skill)}</span>
                  <Button kind="plain" onClick={() => setDeclared(declared.filter((_, j) => j !== i))}>
                    remove
                  </Button>
                </div>
              ))}
              <select
                aria-label="Add a skill"
                value=""
                onChange={(e) =>
                  e.target.value &&
                  setDeclared([...declared.filter((d) => d.skill !== e.target.value), { skill: e.target.value, perTenMinutes: 10 }])
                }
              >
                <option value="">add a skill …</option>
                {skills?.strands.map((s) => (
                  <optgroup key={s.id} label={s.title}>
                    {s.skills.map((id) => (
                      <option key={id} value={id}>
                        {skills.title(id)}
                      </option>
                    ))}
                  </optgroup>
                ))}
              </select>
              <p className={`${panel.soft} ${panel.small}`}>Chances for one child in ten minutes; shown as the owner’s word.</p>
            </fieldset>
          </div>
        </div>
        {clash.panel ??
          (save.error !== null && !shownAtField.includes(problem?.field ?? '') && <p className={panel.bad}>{messageOf(save.error)}</p>)}
        {!clash.panel && <FormActions onLeave={onClose} busy={save.isPending} />}
      </form>
    </Dialog>
  );
}
