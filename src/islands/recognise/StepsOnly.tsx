import { useState } from 'react';
import type { AskedWire } from '../../contract/wire/recognise';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { FormActions } from '../../ui/FormActions';
import panel from '../shared/panel.module.css';
import { useSkills } from '../shared/useSkills';

/** What a game practises in the owner's own word, where nobody knows or no family plays it. */
export function StepsOnly({ row, onSave, onClose }: { row: AskedWire; onSave: (skills: readonly string[]) => void; onClose: () => void }) {
  const skills = useSkills();
  const [chosen, setChosen] = useState<readonly string[]>(row.skills.map((s) => s.skill));
  return (
    <Dialog title={`What does ${row.title} practise?`} onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (chosen.length > 0) onSave(chosen);
        }}
      >
        <p className={panel.soft}>
          Your own word is taken as ten chances a child in ten minutes, until you say another number on the game’s page.
        </p>
        <ul className={panel.list}>
          {chosen.map((id) => (
            <li key={id} className={panel.row}>
              {skills?.title(id) ?? row.skills.find((s) => s.skill === id)?.title ?? id}
              <span className={panel.spring} />
              <Button kind="plain" onClick={() => setChosen(chosen.filter((x) => x !== id))}>
                remove
              </Button>
            </li>
          ))}
        </ul>
        <select
          aria-label="Add a step"
          value=""
          onChange={(e) => e.target.value && setChosen([...chosen.filter((x) => x !== e.target.value), e.target.value])}
        >
          <option value="">add a step …</option>
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
        {chosen.length === 0 && <p className={panel.soft}>Choose one step at least.</p>}
        <FormActions onLeave={onClose} busy={false} />
      </form>
    </Dialog>
  );
}
