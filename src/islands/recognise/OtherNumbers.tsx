import { useState } from 'react';
import type { MechanismWire } from '../../contract/wire/families';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FormActions } from '../../ui/FormActions';
import { ParameterInput } from '../game/ParameterInput';

/** The numbers and rules of a family, filled in as far as the row tells them. */
export function OtherNumbers({
  mechanism,
  start,
  onSave,
  onClose,
}: {
  mechanism: MechanismWire;
  start: Readonly<Record<string, unknown>>;
  onSave: (parameters: Record<string, unknown>) => void;
  onClose: () => void;
}) {
  const [parameters, setParameters] = useState<Record<string, unknown>>({ ...start });
  return (
    <Dialog title={`${mechanism.title}: with which numbers?`} onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          onSave(parameters);
        }}
      >
        {Object.entries(mechanism.parametersSchema.properties).map(([name, schema]) => (
          <Field key={name} label={schema.title ?? name}>
            {(p) => (
              <ParameterInput
                props={p}
                schema={schema}
                value={parameters[name] ?? mechanism.example[name]}
                onChange={(value) => setParameters({ ...parameters, [name]: value })}
              />
            )}
          </Field>
        ))}
        <FormActions onLeave={onClose} busy={false} />
      </form>
    </Dialog>
  );
}
