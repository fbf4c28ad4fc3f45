import { useQueryClient } from '@tanstack/react-query';
import { call } from './api';
import { messageOf, useTell } from './App';

/** Says that something is done, with a button that takes the change back. */
export function useTellUndo(): (text: string, change: string) => void {
  const client = useQueryClient();
  const tell = useTell();
  const undo = async (change: string): Promise<void> => {
    try {
      await call('POST /undo', { body: { change } });
      await client.invalidateQueries();
    } catch (error) {
      tell(messageOf(error), { bad: true });
    }
  };
  return (text, change) => tell(text, { action: { label: 'Undo', run: () => void undo(change) } });
}
