import type { Kept } from './keptNotes';

/** By whom the notes are: a parent's about the own child are marked as such. */
export function WhoNotes({ role, onChange, label }: { role: Kept['role']; onChange: (role: Kept['role']) => void; label?: string }) {
  return (
    <select aria-label={label} value={role} onChange={(e) => onChange(e.target.value as Kept['role'])}>
      <option value="helper">a helper</option>
      <option value="organiser">the organiser</option>
      <option value="parent">a parent</option>
    </select>
  );
}
